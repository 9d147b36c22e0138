/** The JavaScript of the build, compressed as it is served, against what each script may come to. Printed beside the last record. */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';

/** Kilobytes, as Brotli: what every place waits for, and any script that is fetched later. */
const MAX_INITIAL_KB = 330;
const MAX_LATER_KB = 120;
const RECORD = 'bench/size.json';
const folder = 'dist/_expo/static/js/web';

const page = readFileSync('dist/index.html', 'utf8');
const sizes = readdirSync(folder)
  .filter((name) => name.endsWith('.js'))
  .map((name) => ({
    name: name.replace(/-[0-9a-f]{32}/, ''),
    isInitial: page.includes(`${name}" defer`),
    kb: Math.round(statSync(`${folder}/${name}.br`).size / 100) / 10,
  }));
const initial = sizes.filter(({ isInitial }) => isInitial).reduce((sum, { kb }) => sum + kb, 0);
const tooLarge = sizes.filter(({ isInitial, kb }) => !isInitial && kb > MAX_LATER_KB);
const last = JSON.parse(readFileSync(RECORD, 'utf8')) as { initialKb: number };

for (const { name, isInitial, kb } of sizes)
  console.log(`${name.padEnd(18)} ${kb.toFixed(1).padStart(7)} kB ${isInitial ? 'at once' : 'later'}`);
console.log(
  `initial JavaScript ${initial.toFixed(1)} kB of ${MAX_INITIAL_KB} kB, ${(initial - last.initialKb).toFixed(1)} kB against the last record`,
);
for (const { name, kb } of tooLarge)
  console.log(`${name} is ${kb} kB: a script that is fetched later may be ${MAX_LATER_KB} kB`);
if (process.argv.includes('--record'))
  writeFileSync(RECORD, `${JSON.stringify({ initialKb: Number(initial.toFixed(1)) }, null, 2)}\n`);
if (initial > MAX_INITIAL_KB || tooLarge.length > 0) process.exitCode = 1;
