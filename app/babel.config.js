module.exports = function configure(api) {
  api.cache.using(() => process.env.NODE_ENV);
  const isProduction = process.env.NODE_ENV === 'production';
  return {
    presets: ['babel-preset-expo'],
    plugins: isProduction ? ['react-native-paper/babel'] : [],
  };
};
