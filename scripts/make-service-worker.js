/** Writes the service worker of a build: every file of it is kept, so that Billet opens without a signal. */
const { generateSW } = require('workbox-build');

const folder = process.argv[2];

generateSW({
  globDirectory: folder,
  globPatterns: ['**/*.{html,js,css,woff2,svg,png,webmanifest,wasm}'],
  swDest: `${folder}/sw.js`,
  mode: 'production',
  sourcemap: false,
  inlineWorkboxRuntime: true,
  // A hash in the name says what is in the file.
  dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  // Every address is a place of the app, but the price service and files.
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /\.[a-z0-9]+$/i],
  clientsClaim: true,
  // A new version waits until the user wants it: it never takes a half-typed form away.
  skipWaiting: false,
  cleanupOutdatedCaches: true,
}).then(({ count, size, warnings }) => {
  for (const warning of warnings) console.warn(warning);
  console.log(`Service worker: ${count} files, ${Math.round(size / 1024)} kB, kept for use without a signal`);
});
