/** What the router's one slot needs of its stacks, tabs and screens, without their views (see metro.config.js). */
const { createContext } = require('react');
const { StackRouter } = require('expo-router/build/react-navigation/routers');

module.exports = {
  StackRouter,
  isNativeTabTrigger: () => false,
  BottomTabBarHeightContext: createContext(undefined),
  initScreensFeatureFlags: () => undefined,
};
