module.exports = function (api) {
  const test = api.env('test');
  return {
    presets: ['babel-preset-expo'],
    // Paper's own plugin turns `import { Button } from 'react-native-paper'` into the single component's file.
    plugins: test ? [] : ['react-native-paper/babel'],
  };
};
