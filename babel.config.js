module.exports = (api) => {
  const isTest = api.env('test');
  return {
    presets: ['babel-preset-expo'],
    plugins: isTest
      ? // Jest runs what the bundler splits off as one program.
        ['@babel/plugin-transform-dynamic-import']
      : // Of Paper only the components that are used, and of our own folders only the files.
        ['react-native-paper/babel', './scripts/direct-imports.js'],
  };
};
