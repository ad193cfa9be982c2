/**
 * core: everything without a screen (core, engine, store, server, demo, tools) in plain Node.
 * web:  components in jest-expo's web preset: react-native-web in jsdom, real roles and focus.
 */
const ignore = ['/node_modules/', '/dist/', '/e2e/'];
const alias = {
  '^@/(.*)$': '<rootDir>/src/$1',
  '/MaterialCommunityIcon$': '<rootDir>/src/ui/icons/paperIcon.tsx',
  '^@react-native-async-storage/async-storage$':
    '<rootDir>/node_modules/@react-native-async-storage/async-storage/lib/module/jest/AsyncStorageMock.js',
};
const transformIgnorePatterns = [
  '/node_modules/(?!(@react-native-async-storage|pure-rand|temporal-polyfill|temporal-utils|ical.js|postal-mime|d3-geo|d3-array|internmap)/)',
];
module.exports = {
  // Generous: a machine that stands still for a while is no fault of the code.
  testTimeout: 40_000,
  testSequencer: '<rootDir>/testing/longestFirst.js',
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: [
        '<rootDir>/src/**/*.test.ts',
        '<rootDir>/server/**/*.test.ts',
        '<rootDir>/demo/**/*.test.ts',
        '<rootDir>/tools/**/*.test.ts',
      ],
      testPathIgnorePatterns: ignore,
      moduleNameMapper: alias,
      setupFiles: ['<rootDir>/testing/temporal.js'],
      transform: {
        '\\.m?[jt]sx?$': [
          'babel-jest',
          { caller: { name: 'metro', platform: 'web', engine: 'node', isServer: true } },
        ],
      },
      transformIgnorePatterns,
    },
    {
      displayName: 'web',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      testPathIgnorePatterns: ignore,
      moduleNameMapper: alias,
      setupFiles: ['<rootDir>/testing/temporal.js', '<rootDir>/testing/browser.js'],
      transformIgnorePatterns: [
        '/node_modules/(?!((jest-)?react-native|@react-native|expo|@expo|temporal-polyfill|temporal-utils|ical.js|comlink|postal-mime|d3-geo|d3-array|internmap))',
      ],
    },
  ],
};
