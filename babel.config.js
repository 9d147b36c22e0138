module.exports = (api) => {
  const isTest = api.env('test');
  return {
    presets: ['babel-preset-expo'],
    plugins: isTest
      ? // Jest runs what the bundler splits off as one program.
        ['@babel/plugin-transform-dynamic-import']
      : // Of Paper only the components that are used.
        ['react-native-paper/babel'],
  };
};
