import { measure } from '../project';
import { planCsv, type Case } from '../testing';

const inches = (text: string) => measure(text, 'in');
const parts = (rows: string) => `part,qty,section,length,width,kind\n${rows}`;
const PRICES = 'store,section,length,material,price,kind,width';

test('a car that takes six feet: a board of sixteen is sawn twice where the store makes two cuts', () => {
  const given = (cuts: boolean | number): Case => ({
    parts: parts('Shelf,3,2x4,60,,board'),
    prices: `${PRICES}\nYard,2x4,16ft,stud,9,,`,
    settings: { maxCarryLength: inches('6ft') },
    stores: { Yard: { cuts } },
  });
  const plan = planCsv(given(2));
  expect(plan.status).not.toBe('infeasible');
  expect(plan.layouts.map(({ storeCuts }) => storeCuts.length)).toEqual([2]);
  expect(planCsv(given(true)).status).toBe('infeasible');
  expect(planCsv(given(false)).status).toBe('infeasible');
});

test('the offcut may lie at the cut: five feet of ten, and the rest parted where it can be carried', () => {
  const plan = planCsv({
    parts: parts('Shelf,1,2x4,36,,board'),
    prices: `${PRICES}\nYard,2x4,10ft,stud,5,,`,
    settings: { maxCarryLength: inches('6ft') },
  });
  expect(plan.layouts[0]?.storeCuts).toEqual([{ kind: 'crosscut', at: inches('72').ticks }]);
});

test('each cut costs its fee: what fits the car is bought where that is cheaper, and the sum says what sawing costs', () => {
  const given = (cutFee: number): Case => ({
    parts: parts('Shelf,2,2x4,60,,board'),
    prices: `${PRICES}\nYard,2x4,11ft,stud,6,,\nYard,2x4,6ft,stud,4,,`,
    settings: { maxCarryLength: inches('6ft') },
    stores: { Yard: { cuts: true, cutFee } },
  });
  const sawn = planCsv(given(100));
  expect([sawn.total, sawn.sawing, sawn.layouts[0]?.storeCuts.length]).toEqual([700, 100, 1]);
});

test('a sheet is carried by its own limits, and by those of boards where it has none', () => {
  const given = (settings: Case['settings']): Case => ({
    parts: parts('Top,1,3/4in,60,40,sheet'),
    prices: `${PRICES}\nYard,3/4in,96in,ply,40,sheet,48in`,
    settings,
    stores: { Yard: { cuts: false } },
  });
  const boards = { maxCarryLength: inches('6ft') };
  expect(planCsv(given(boards)).status).toBe('infeasible');
  const sheets = { maxCarrySheet: { length: inches('8ft'), width: inches('4ft') } };
  expect(planCsv(given({ ...boards, ...sheets })).status).not.toBe('infeasible');
  expect(planCsv(given({ maxCarrySheet: { length: inches('7ft'), width: inches('4ft') } })).status).toBe(
    'infeasible',
  );
});

test('where boards of one size would be sawn through a piece, those of another are taken: nothing is given up', () => {
  const plan = planCsv({
    parts: 'part,qty,section,length,ends\nShelf,4,2x4,60,\nBrace,3,2x4,33,mitre 45\nLeg,2,2x4,20,parallel 30',
    prices: 'store,section,length,material,price\nYard,2x4,16ft,stud,9\nYard,2x4,8ft,stud,5.20',
    settings: { maxCarryLength: inches('6ft') },
    stores: { Yard: { cuts: 2 } },
  });
  expect(plan.status).not.toBe('infeasible');
  const pieces = plan.layouts.reduce((sum, layout) => sum + layout.count * layout.pieces.length, 0);
  expect(pieces).toBe(9);
});
