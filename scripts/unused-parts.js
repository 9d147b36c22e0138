/**
 * Parts of libraries that this application never reaches, though their indexes name them: the bundler leaves them out. What a library
 * asks of such a part is undefined: the browser tests open every view, and every way between them.
 */
const path = require('node:path');

const ROOT = path.join(__dirname, '..', 'node_modules');
const ROUTER = 'expo-router/build/';

/** Beginnings of paths below `node_modules`, without endings. */
const UNUSED = [
  // Places follow each other without tabs, stacks, headers, previews or a map of the site: `Slot` and our own shell do it.
  `${ROUTER}layouts/Stack.`,
  `${ROUTER}layouts/Tabs`,
  `${ROUTER}layouts/stack-utils/`,
  `${ROUTER}layouts/experimental-stack/`,
  `${ROUTER}stack/`,
  `${ROUTER}native-tabs/`,
  `${ROUTER}standard-navigation/`,
  `${ROUTER}color/`,
  `${ROUTER}views/Sitemap`,
  `${ROUTER}views/Toast`,
  `${ROUTER}views/Unmatched`,
  `${ROUTER}views/ErrorBoundary`,
  `${ROUTER}link/LinkWithPreview`,
  `${ROUTER}link/preview/native`,
  `${ROUTER}link/preview/HrefPreview`,
  `${ROUTER}link/zoom/link-apple-zoom`,
  `${ROUTER}react-navigation/bottom-tabs/`,
  `${ROUTER}react-navigation/native-stack/`,
  `${ROUTER}react-navigation/core/StaticNavigation`,
  `${ROUTER}react-navigation/native/createStaticNavigation`,
  // Long lists are those of TanStack Virtual.
  'react-native-web/dist/vendor/react-native/VirtualizedList/',
  'react-native-web/dist/vendor/react-native/VirtualizedSectionList/',
  'react-native-web/dist/vendor/react-native/FlatList/',
  'react-native-web/dist/vendor/react-native/SectionList/',
  // Drawings are made of elements, never read from a file.
  'react-native-svg/lib/module/xml',
  'react-native-svg/lib/module/deprecated',
  'react-native-svg/lib/module/utils/fetchData',
].map((part) => path.join(ROOT, part));

/** What the router asks for by name, and finds in a file of ours that has only what it uses. */
const SLIM = {
  'react-native-web/dist/index': 'react-native.js',
  'react-native-screens': 'react-native-screens.js',
  './head': 'head.js',
  '../fork/native-stack/createNativeStackNavigator': 'native-stack.js',
};

/** The file of ours that stands for what a module asks for by name; undefined: none does. */
exports.slimFor = (origin, name) =>
  origin.startsWith(path.join(ROOT, ROUTER)) && Object.hasOwn(SLIM, name)
    ? path.join(__dirname, 'slim', SLIM[name])
    : undefined;

/** Whether a resolved file is left out. */
exports.isUnused = (file) => UNUSED.some((part) => file.startsWith(part));
