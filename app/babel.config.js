/** Jest cannot load a piece later on: it is required when it is asked for. */
const inTests = ['@babel/plugin-transform-dynamic-import'];
const inProduction = ['react-native-paper/babel'];

module.exports = function configure(api) {
  api.cache.using(() => process.env.NODE_ENV);
  const { NODE_ENV } = process.env;
  return {
    presets: ['babel-preset-expo'],
    plugins: NODE_ENV === 'production' ? inProduction : NODE_ENV === 'test' ? inTests : [],
  };
};
