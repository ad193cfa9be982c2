/** What the router's one slot needs of its stacks, tabs and screens, without their views (see metro.config.js). */
const { createContext } = require('react');
const { StackRouter } = require('expo-router/build/react-navigation/routers');

module.exports = {
  StackRouter,
  isNativeTabTrigger: () => false,
  // The page's head is set by the application's own; a map of all routes is shown nowhere.
  HelmetProvider: ({ children }) => children,
  Helmet: () => null,
  Sitemap: () => null,
  getNavOptions: () => ({}),
  BottomTabBarHeightContext: createContext(undefined),
  initScreensFeatureFlags: () => undefined,
};
