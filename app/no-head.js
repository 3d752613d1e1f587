/** Stands in for what writes into the head of the page: around the application it draws what is in it, and else nothing. */
module.exports = {
  Helmet: () => null,
  HelmetProvider: ({ children }) => children,
};
