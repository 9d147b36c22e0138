/**
 * Libraries that come as one file, of which little is used: the bundler is given a file with just that, made by esbuild beside the build.
 */
const path = require('node:path');
const { buildSync } = require('esbuild');

const ROOT = path.join(__dirname, '..');

/** What is used of each. Another export that is imported is undefined at once, in every test of the built app. */
const USED = { fflate: ['deflateSync', 'Inflate', 'strFromU8', 'strToU8'] };

const made = new Map();

/** The file that stands for a library; undefined: the library itself does. */
exports.usedExports = (name) => {
  if (!Object.hasOwn(USED, name)) return undefined;
  const held = made.get(name);
  if (held) return held;
  const outfile = path.join(ROOT, 'node_modules', '.cache', 'billet', `${name}.js`);
  buildSync({
    stdin: { contents: `export { ${USED[name].join(', ')} } from '${name}';`, resolveDir: ROOT },
    bundle: true,
    format: 'esm',
    platform: 'browser',
    outfile,
    logLevel: 'warning',
  });
  made.set(name, outfile);
  return outfile;
};
