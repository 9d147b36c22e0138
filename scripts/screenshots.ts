/** Makes docs/screenshots from the sample data and the built app: one picture of each main view. */
import { launch, PHONE, serve, visit, WIDE } from '../harness/browser';
import { VIEWS } from '../harness/views';

const SHOTS: [view: string, size: 'phone' | 'wide', theme: 'light' | 'dark'][] = [
  ['projects', 'phone', 'light'],
  ['parts', 'phone', 'light'],
  ['helper', 'wide', 'light'],
  ['shape', 'wide', 'light'],
  ['prices', 'phone', 'light'],
  ['aisle', 'phone', 'light'],
  ['book', 'wide', 'light'],
  ['buy', 'phone', 'light'],
  ['buy', 'wide', 'light'],
  ['saw', 'phone', 'light'],
  ['cut-sheet', 'wide', 'light'],
  ['compare', 'phone', 'light'],
  ['compare', 'wide', 'dark'],
  ['save', 'phone', 'light'],
  ['assembly', 'phone', 'light'],
  ['run', 'phone', 'light'],
  ['spend', 'phone', 'light'],
  ['costs', 'wide', 'light'],
  ['settings', 'phone', 'dark'],
];

const main = async () => {
  const site = await serve();
  const browser = await launch();
  for (const [name, size, theme] of SHOTS) {
    const view = VIEWS.find((candidate) => candidate.name === name);
    if (!view) throw new Error(`no view ${name}`);
    const { page, context } = await visit(browser, size === 'phone' ? PHONE : WIDE, theme);
    await page.goto(site.address + view.path);
    await view.ready(page);
    await view.open?.(page);
    // The planner has done by then.
    await page.waitForTimeout(/\/(buy|compare|spend|run)/.test(view.path) ? 4000 : 400);
    await page.screenshot({ path: `docs/screenshots/${name}-${size}${theme === 'dark' ? '-dark' : ''}.png` });
    await context.close();
  }
  await browser.close();
  site.stop();
  process.exit(0);
};
void main();
