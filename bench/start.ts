/** How long until bin/start answers, and until the first screen can be used with an empty cache: medians of five. */
import { spawn } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { launch, PHONE, visit } from '../harness/browser';

const RUNS = 5;
const PORT = 4395;
const RECORD = 'bench/start.json';
const address = `http://localhost:${PORT}`;

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
const answers = () =>
  fetch(`${address}/api/health`).then(
    ({ ok }) => ok,
    () => false,
  );

const startOnce = async (): Promise<{ ms: number; stop: () => Promise<void> }> => {
  const began = performance.now();
  const server = spawn('bin/start', { env: { ...process.env, PORT: String(PORT) }, stdio: 'ignore' });
  while (!(await answers())) await new Promise((resolve) => setTimeout(resolve, 20));
  const stop = async () => {
    server.kill();
    while (await answers()) await new Promise((resolve) => setTimeout(resolve, 20));
  };
  return { ms: performance.now() - began, stop };
};

const main = async () => {
  const starts: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const { ms, stop } = await startOnce();
    starts.push(ms);
    await stop();
  }
  const { stop } = await startOnce();
  const browser = await launch();
  const opens: number[] = [];
  const plans: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const { page, context } = await visit(browser, PHONE);
    const began = performance.now();
    await page.goto(address, { waitUntil: 'commit' });
    await page.getByRole('button', { name: 'New project' }).waitFor();
    await page.getByRole('listitem').nth(2).waitFor();
    opens.push(performance.now() - began);
    await page.getByRole('img', { name: /over target/ }).waitFor();
    plans.push(performance.now() - began);
    await context.close();
  }
  await browser.close();
  await stop();
  const result = {
    startMs: Math.round(median(starts)),
    usableMs: Math.round(median(opens)),
    plannedMs: Math.round(median(plans)),
  };
  const last = JSON.parse(readFileSync(RECORD, 'utf8')) as typeof result;
  console.log('what                                     now    last    must');
  const line = (what: string, now: number, before: number, must: string) =>
    console.log(`${what.padEnd(36)} ${String(now).padStart(6)}  ${String(before).padStart(6)}  ${must}`);
  line('bin/start answers, ms', result.startMs, last.startMs, '3000');
  line('first screen usable, empty cache, ms', result.usableMs, last.usableMs, '2000');
  line('all samples planned, ms', result.plannedMs, last.plannedMs, '');
  if (process.argv.includes('--record')) writeFileSync(RECORD, `${JSON.stringify(result, null, 2)}\n`);
};
void main();
