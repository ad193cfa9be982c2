module.exports = function (api) {
  const production = api.env('production');
  return {
    presets: ['babel-preset-expo'],
    // Paper's own plugin turns `import { Button } from 'react-native-paper'` into the single component's file.
    plugins: production ? ['react-native-paper/babel'] : [],
  };
};
