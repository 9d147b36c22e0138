module.exports = (api) => {
  const isTest = api.env('test');
  return {
    presets: ['babel-preset-expo'],
    // Jest runs what the bundler splits off as one program.
    plugins: isTest ? ['@babel/plugin-transform-dynamic-import'] : [],
  };
};
