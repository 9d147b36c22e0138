/**
 * From a changed variable to new parts on screen, and to a first plan, for a project of 200 parts that follow from it:
 * medians of five, in Chromium; and the core's share of it on Node.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { readPrices, rowsForBook, writeProjectFile } from '@/core/io';
import { planInput } from '@/core/plan';
import { firstPlan } from '@/core/plan/planner';
import {
  apply,
  emptyBook,
  emptyGroup,
  emptyPart,
  emptyProject,
  resolve,
  type Book,
  type Command,
  type Part,
  type Project,
} from '@/core/project';
import { checksOf } from '@/core/takeoff';
import { launch, serve, visit, WIDE } from '../harness/browser';

const RUNS = 5;
const RECORD = 'bench/parts.json';
const PARTS = 200;
const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

let last = 0;
const newId = () => `b${++last}`;
const PRICES = `store,section,length,material,price
Yard,2x4,8ft,stud,3.78
Yard,2x4,10ft,stud,4.98
Yard,2x4,12ft,stud,6.48
Yard,1x4,8ft,stud,2.98
Yard,1x4,10ft,stud,3.98
Yard,2x6,8ft,stud,5.98
Yard,2x6,12ft,stud,9.48`;

const project = (): { project: Project; book: Book } => {
  const rows = readPrices(PRICES, 'prices.csv', 'in');
  if (!rows.ok) throw new Error('prices');
  const taken = rowsForBook(rows.value, emptyBook(), 'USD', newId);
  const book: Book = {
    stores: Object.fromEntries(taken.stores.map((store) => [store.id, store])),
    prices: Object.fromEntries(taken.prices.map((price) => [price.id, price])),
  };
  const empty = emptyProject('bench', 'Bench', 'in', 'USD');
  const groups = Array.from({ length: 10 }, (_, index) => emptyGroup(newId(), newId(), `Bay ${index + 1}`));
  const part = (index: number): Part => ({
    ...emptyPart(newId()),
    name: `Piece ${index + 1}`,
    section: ['2x4', '1x4', '2x6'][index % 3] ?? '2x4',
    quantity: (index % 4) + 1,
    length: {
      text:
        index % 20 === 0 ? `height - ${index / 20}` : `piece_${index}.length / 2 + ${(index % 7) + 1} 1/8`,
      ticks: 0,
    },
  });
  const filled = groups.map((group, g) => ({
    ...group,
    options: group.options.map((option) => ({
      ...option,
      parts: Array.from({ length: PARTS / 10 }, (_, index) => part(g * 20 + index)),
    })),
  }));
  const command: Command = {
    type: 'addVariable',
    variable: { id: 'height', name: 'height', kind: 'length', formula: '60', note: '' },
  };
  const made = apply({ ...empty, groups: filled }, command, 0)?.document;
  if (!made) throw new Error('no project');
  return { project: made, book };
};

const inCore = (made: Project, book: Book) => {
  const times: { parts: number; plan: number }[] = [];
  for (let run = 0; run < RUNS; run++) {
    const began = performance.now();
    const command: Command = {
      type: 'editVariable',
      variableId: 'height',
      fields: { formula: `${61 + run}` },
    };
    const next = apply(made, command, 0)?.document ?? made;
    resolve(next);
    checksOf(next, () => null);
    const parts = performance.now() - began;
    firstPlan(planInput(next, book));
    times.push({ parts, plan: performance.now() - began });
  }
  return {
    coreParts: median(times.map(({ parts }) => parts)),
    corePlan: median(times.map(({ plan }) => plan)),
  };
};

const inBrowser = async (file: string) => {
  const site = await serve();
  const browser = await launch();
  const { page } = await visit(browser, WIDE);
  await page.goto(site.address);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Open a file' }).click(),
  ]);
  await chooser.setFiles({
    name: 'bench.billet.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file),
  });
  await page
    .getByRole('img', { name: /to buy/ })
    .first()
    .waitFor();
  await page.waitForTimeout(1500);
  const times: { parts: number; plan: number }[] = [];
  for (let run = 0; run < RUNS; run++) {
    await page.getByRole('textbox', { name: 'height', exact: true }).focus();
    await page.waitForTimeout(800);
    times.push(
      await page.evaluate(
        (text) => {
          const input = document.activeElement as HTMLInputElement;
          const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
          const first = () => document.querySelector('[aria-label*="Piece 1,"]')?.getAttribute('aria-label');
          const strip = () => document.querySelector('[data-testid=money-strip]');
          const before = first();
          const began = performance.now();
          return new Promise<{ parts: number; plan: number }>((resolve, reject) => {
            let parts = 0;
            const look = () => {
              if (parts === 0 && first() !== before) parts = performance.now() - began;
              if (parts > 0 && strip()?.getAttribute('aria-busy') !== 'true')
                resolve({ parts, plan: performance.now() - began });
              else if (performance.now() - began > 10_000) reject(new Error(`nothing moved: ${first()}`));
              else requestAnimationFrame(look);
            };
            set?.call(input, text);
            input.dispatchEvent(new Event('input', { bubbles: true }));
            look();
          });
        },
        `${70 + run * 3}`,
      ),
    );
  }
  await browser.close();
  site.stop();
  return {
    partsMs: median(times.map(({ parts }) => parts)),
    planMs: median(times.map(({ plan }) => plan)),
  };
};

const main = async () => {
  const { project: made, book } = project();
  const core = inCore(made, book);
  const screen = await inBrowser(writeProjectFile(made, book));
  const result = Object.fromEntries(
    Object.entries({ ...core, ...screen }).map(([name, ms]) => [name, Math.round(ms)]),
  );
  const before = JSON.parse(readFileSync(RECORD, 'utf8')) as Record<string, number>;
  console.log('a changed variable, 200 parts               now    last    must');
  const line = (what: string, name: string, must: string) =>
    console.log(
      `${what.padEnd(40)} ${String(result[name]).padStart(6)}  ${String(before[name] ?? '').padStart(6)}  ${must}`,
    );
  line('new parts in the core, ms', 'coreParts', '');
  line('first plan in the core, ms', 'corePlan', '');
  line('new parts on screen, ms', 'partsMs', '50');
  line('first plan on screen, ms', 'planMs', '300');
  if (process.argv.includes('--record')) writeFileSync(RECORD, `${JSON.stringify(result, null, 2)}\n`);
  process.exit(0);
};
main().catch((error) => {
  console.error(error);
  process.exit(1);
});
