import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { projectMoney, purchaseLine } from '../budget';
import { fromCsv } from '../testing';
import { reportCsv, reportHtml, reportOf } from '.';

const { project: bare, book } = fromCsv({
  parts: 'part,qty,section,length,kind,item\n"Rail <wide>",2,2x4,40,,\nScrew,30,,,hardware,screws',
  prices:
    "store,section,length,material,price,kind,item,pack\nYard,2x4,8',stud,4,,,\nYard,,,,9,hardware,screws,100",
  stores: { Yard: { trip: 420 } },
});
const screws = Object.values(book.prices).find(({ item }) => item.name === 'screws');
const project = {
  ...bare,
  name: 'Puppet & stage',
  target: 3000,
  purchases: screws
    ? [
        {
          id: 'p',
          date: '2026-11-20',
          storeId: screws.storeId,
          store: 'Yard',
          note: '',
          trip: 420,
          lines: [purchaseLine(screws.item, 100, 1, 900, { taxFree: false }, bare.settings, 'USD')],
        },
      ]
    : [],
};
const plan = firstPlan(planInput(project, book));
const report = reportOf(project, book, plan, '2026-11-25');
const section = (title: string) => report.sections.find((one) => one.title === title)?.rows ?? [];

test('parts, what is to buy, what was paid, the three costs and the target, with the sums of the app', () => {
  const money = projectMoney(project, book, plan);
  expect(report.sections.map(({ title }) => title)).toEqual([
    'Money',
    'Parts',
    'To buy',
    'Paid',
    'What it costs',
    'Where it comes from',
  ]);
  expect(section('Parts').map(({ what, quantity, detail }) => [what, quantity, detail])).toEqual([
    ['Rail <wide>', '2', '2x4, 40"'],
    ['Screw', '30', 'screws'],
  ]);
  expect(section('To buy').at(-1)?.sum).toBe(money.toBuy);
  expect(section('Paid').at(-1)?.sum).toBe(money.spent);
  expect(section('Money').at(-1)).toMatchObject({ what: 'Left', sum: money.left });
  expect(section('What it costs').map(({ sum }) => sum)).toEqual([333 + 270, 1720, 1720]);
});

test('as CSV a line for each row, as HTML with names kept from being read as tags', () => {
  expect(reportCsv(report).split('\r\n').slice(0, 2)).toEqual([
    'section,what,quantity,detail,sum',
    'Money,Wood,,"$0.00 spent, $4.00 to buy",4.00',
  ]);
  const html = reportHtml(report);
  expect(html).toContain('<h1>Puppet &amp; stage</h1>');
  expect(html).toContain('Rail &lt;wide&gt;');
  expect(html).not.toContain('<wide>');
});
