import fc from 'fast-check';
import { emptyProject, type Purchase } from '@/core/project';
import { blankPurchase } from './blanks';
import { openedIn, purchaseAt, writeOpened, type Opened } from './opened';

const ID = fc.string({ minLength: 1, maxLength: 12 }).filter((text) => !/[\n\r\u2028\u2029]/.test(text));

const OPENED: fc.Arbitrary<NonNullable<Opened>> = fc.oneof(
  fc.constantFrom<NonNullable<Opened>>({ kind: 'target' }, { kind: 'record' }),
  fc.record({ kind: fc.constant('line' as const), purchaseId: ID, line: fc.nat(99) }),
  fc.record({ kind: fc.constant('more' as const), purchaseId: ID }),
);

test('what is open is read back from the address as it was written', () => {
  fc.assert(fc.property(OPENED, (opened) => expect(openedIn(writeOpened(opened))).toEqual(opened)));
});

test('whatever an address says, nothing is opened that is not in the ledger', () => {
  const [blank, kept] = [blankPurchase('new', '2026-05-02'), blankPurchase('kept', '2026-05-01')] as [
    Purchase,
    Purchase,
  ];
  const project = { ...emptyProject('p', 'Trellis', 'in', 'USD'), purchases: [kept] };
  fc.assert(
    fc.property(fc.oneof(fc.string(), OPENED.map(writeOpened)), (text) => {
      const at = purchaseAt(project, openedIn(text), blank);
      expect(at === null || at.purchase === blank || at.purchase.id === kept.id).toBe(true);
    }),
  );
  expect(purchaseAt(project, { kind: 'record' }, blank)).toEqual({ purchase: blank, line: 0, isNew: true });
  const at = (opened: Opened) => purchaseAt(project, opened, blank);
  expect(at({ kind: 'line', purchaseId: kept.id, line: 0 })).toMatchObject({ purchase: kept, isNew: false });
  expect(at({ kind: 'line', purchaseId: kept.id, line: 1 })).toBeNull();
  expect(at({ kind: 'line', purchaseId: 'gone', line: 0 })).toBeNull();
  expect(at({ kind: 'target' })).toBeNull();
  // One more line of a receipt stands below those that it has.
  expect(at({ kind: 'more', purchaseId: kept.id })).toMatchObject({ line: 1, isNew: true });
});
