const { getDefaultConfig } = require('expo/metro-config');

const http = require('node:http');

const config = getDefaultConfig(__dirname);

// While developing (./start --dev), the page asks the application's own server for its data.
config.server.enhanceMiddleware = (metro) => (request, response, next) => {
  if (!request.url.startsWith('/api/')) return metro(request, response, next);
  const port = process.env.ORDERLY_WEEK_PORT ?? 4300;
  const asked = http.request(
    { host: '127.0.0.1', port, path: request.url, method: request.method, headers: request.headers },
    (answer) => {
      response.writeHead(answer.statusCode, answer.headers);
      answer.pipe(response);
    },
  );
  asked.on('error', () => response.writeHead(502).end());
  return request.pipe(asked);
};
config.resolver.assetExts.push('woff2');
const resolve = config.resolver.resolveRequest;

const plainRouter = require.resolve('./tools/bundle/plainRouter.js');
const paperIcon = require.resolve('./src/ui/icons/paperIcon.tsx');
const noJsonSchema = require.resolve('./tools/bundle/noJsonSchema.js');
const paperColours = require.resolve('./tools/bundle/paperColours.js');
/** What the router asks for by these names, and what it gets instead. */
const ROUTER_PARTS = {
  './stack': 'nothing',
  './layouts/Tabs': 'nothing',
  './layouts/experimental-stack': 'nothing',
  '../layouts/StackClient': plainRouter,
  '../native-tabs/NativeTabTrigger': plainRouter,
  '../react-navigation/bottom-tabs': plainRouter,
  './screensFeatureFlags': plainRouter,
  './views/Sitemap': plainRouter,
  '../../vendor/react-helmet-async/lib': plainRouter,
};

const UNUSED_NATIVE = new Set([
  'Touchable',
  'TouchableHighlight',
  'TouchableOpacity',
  'TouchableWithoutFeedback',
  'CheckBox',
  'Picker',
  'PanResponder',
  'KeyboardAvoidingView',
  'ImageBackground',
  'AppState',
  'Clipboard',
  'Share',
]);

config.resolver.resolveRequest = (context, name, platform) => {
  // zod's main entry re-exports every language (about 300 KB), JSON Schema and a compiler; none of them is used here.
  if (
    /\/(locales\/index|from-json-schema|json-schema-processors|compile)\.js$/.test(name) &&
    /[\\/]node_modules[\\/]zod[\\/]/.test(context.originModulePath)
  )
    return { type: 'empty' };
  if (
    /\/(to-json-schema|json-schema-generator)\.js$/.test(name) &&
    /[\\/]node_modules[\\/]zod[\\/]/.test(context.originModulePath)
  )
    return { type: 'sourceFile', filePath: noJsonSchema };
  // The icon font that some of Paper's components ask for past the theme: their icons are SVG paths, too.
  if (/\/MaterialCommunityIcon$/.test(name) && /[\\/]react-native-paper[\\/]/.test(context.originModulePath))
    return { type: 'sourceFile', filePath: paperIcon };
  const isPalette =
    /\/themes\/v2\/colors$/.test(name) ||
    (name === './colors' && /[\\/]themes[\\/]v2[\\/]/.test(context.originModulePath));
  if (isPalette && /[\\/]react-native-paper[\\/]/.test(context.originModulePath))
    return { type: 'sourceFile', filePath: paperColours };
  // Paper's other kind of field: all of ours are outlined.
  if (/\/TextInputFlat$/.test(name) && /[\\/]react-native-paper[\\/]/.test(context.originModulePath))
    return { type: 'empty' };
  // Long lists are drawn by the application itself: React Native's come with its main entry, and nobody asks for them.
  if (
    /\/vendor\/react-native\/(FlatList|SectionList|VirtualizedList)$/.test(name) &&
    /[\\/]react-native-web[\\/]dist[\\/]exports[\\/]/.test(context.originModulePath)
  )
    return { type: 'empty' };
  // What else comes with React Native's main entry and nobody here asks for.
  if (
    UNUSED_NATIVE.has(name.replace('./exports/', '')) &&
    /[\\/]react-native-web[\\/]dist[\\/]index\.js$/.test(context.originModulePath)
  )
    return { type: 'empty' };
  // Of the router, one slot and its hooks are used: stacks, tabs, headers and native screens come with its main entry.
  const routerPart = /[\\/]expo-router[\\/]build[\\/]/.test(context.originModulePath) && ROUTER_PARTS[name];
  if (routerPart === 'nothing') return { type: 'empty' };
  if (routerPart) return { type: 'sourceFile', filePath: routerPart };
  // Paper's icon font (1.3 MB): every icon is an SVG path given through PaperProvider's settings.icon.
  if (/^(@expo\/vector-icons|@?react-native-vector-icons)/.test(name)) return { type: 'empty' };
  // Two versions of one library of colours would come: the router's is used by headers alone, which are not shown here.
  if (name === 'color')
    return (resolve ?? context.resolveRequest)({ ...context, originModulePath: __filename }, name, platform);
  // Its two entry points share a registry: both must come from the same build of the package.
  if (name.startsWith('@use-gesture/')) {
    const conditions = {
      ...context,
      unstable_conditionNames: ['module', ...context.unstable_conditionNames],
    };
    return (resolve ?? context.resolveRequest)(conditions, name, platform);
  }
  return (resolve ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;
