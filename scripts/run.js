/** Runs a TypeScript file of ours on Node: `node scripts/run.js bench/size.ts [arguments]`. */
const { buildSync } = require('esbuild');
const fs = require('node:fs');
const path = require('node:path');

const [file, ...rest] = process.argv.slice(2);
const root = path.join(__dirname, '..');
const outfile = path.join(root, '.billet/run', `${path.basename(file, '.ts')}-${process.pid}.cjs`);
buildSync({
  entryPoints: [path.resolve(file)],
  outfile,
  bundle: true,
  platform: 'node',
  packages: 'external',
  tsconfig: path.join(root, 'tsconfig.json'),
  logLevel: 'error',
});
process.argv = [process.argv[0], path.resolve(file), ...rest];
process.on('exit', () => fs.rmSync(outfile, { force: true }));
require(outfile);
