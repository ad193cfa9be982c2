/** The layers and their one direction; README.md, "How it is laid out", says them in words. */
const interfaceLibraries =
  'node_modules/(react|react-dom|react-native[^/]*|expo[^/]*|@tanstack|@react-native-async-storage|zustand|comlink)/';
const notTests = '\\.test\\.tsx?$';
const rule = (name, from, to) => ({
  name,
  severity: 'error',
  from: { pathNot: notTests, ...from },
  to,
});
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    rule(
      'core-is-pure',
      { path: '^src/core' },
      { path: `(^src/(?!core)|^(server|demo|tools|e2e)|${interfaceLibraries})` },
    ),
    rule(
      'core-names-its-libraries',
      { path: '^src/core' },
      {
        path: 'node_modules/',
        pathNot:
          'node_modules/(zod|ical\\.js|minisearch|countries-and-timezones|temporal-polyfill|papaparse|fflate|color|re2js|fastest-levenshtein|postal-mime|d3-geo|@types)/',
      },
    ),
    rule(
      'engine-imports-core',
      { path: '^src/engine' },
      { path: '^src/(app|features|store|ui)|^(server|demo|tools)' },
    ),
    rule(
      'store-imports-core-and-engine',
      { path: '^src/store' },
      { path: '^src/(app|features|ui)|^(server|demo|tools)' },
    ),
    rule(
      'ui-knows-no-data',
      { path: '^src/ui' },
      { path: '^src/(app|features|store|engine)|^(server|demo|tools)' },
    ),
    rule(
      'features-reach-the-engine-through-the-store',
      { path: '^src/features' },
      { path: '^src/(app|engine)/|^(server|demo|tools)' },
    ),
    rule(
      'a-feature-imports-only-an-index-of-another',
      { path: '^src/features/([^/]+)/' },
      { path: '^src/features/(?!$1/)[^/]+/(?!(index|later)\\.tsx?$)' },
    ),
    rule('nobody-imports-routes', { path: '^src/(?!app)' }, { path: '^src/app' }),
    rule(
      'storage-only-in-store',
      { pathNot: `(^src/store|${notTests})` },
      {
        path: 'node_modules/@react-native-async-storage/',
      },
    ),
    rule('outside-imports-core', { path: '^(server|demo|tools)' }, { path: '^src/(app|features|store|ui)' }),
    {
      name: 'no-unlisted',
      severity: 'error',
      from: { path: '^(src|server|demo|tools)' },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.web.tsx', '.web.ts', '.tsx', '.ts', '.jsx', '.js', '.json'],
      conditionNames: ['browser', 'import', 'require', 'default'],
    },
  },
};
