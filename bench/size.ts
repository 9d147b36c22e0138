/** The JavaScript that the first screen loads, compressed as it is served. Printed beside the last recorded figure. */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const MAX_KB = 520;
const RECORD = 'bench/size.json';
const folder = 'dist/_expo/static/js/web';

const page = readFileSync('dist/index.html', 'utf8');
const sizes = readdirSync(folder)
  .filter((name) => name.endsWith('.js'))
  .map((name) => {
    const code = readFileSync(`${folder}/${name}`);
    return {
      name: name.replace(/-[0-9a-f]{32}/, ''),
      isInitial: page.includes(`${name}" defer`),
      kb: Math.round(gzipSync(code).length / 100) / 10,
    };
  });
const initial = sizes.filter(({ isInitial }) => isInitial).reduce((sum, { kb }) => sum + kb, 0);
const last = JSON.parse(readFileSync(RECORD, 'utf8')) as { initialKb: number };

for (const { name, isInitial, kb } of sizes)
  console.log(`${name.padEnd(14)} ${kb.toFixed(1).padStart(7)} kB ${isInitial ? 'at once' : 'later'}`);
console.log(
  `initial JavaScript ${initial.toFixed(1)} kB of ${MAX_KB} kB, ${(initial - last.initialKb).toFixed(1)} kB against the last record`,
);
if (process.argv.includes('--record'))
  writeFileSync(RECORD, `${JSON.stringify({ initialKb: Number(initial.toFixed(1)) }, null, 2)}\n`);
if (initial > MAX_KB) process.exitCode = 1;
