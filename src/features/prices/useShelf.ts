import { useState } from 'react';
import { faultAt } from '@/core/result';
import { newestOf, type PriceOutlier } from '@/core/pricing';
import { itemKey, type Measure, type Price } from '@/core/project';
import { newId } from '@/hooks';
import { useTries } from '@/forms';
import { withUnit } from '@/core/io';
import {
  askedAt,
  blankEntry,
  doubtAbout,
  readEntry,
  type Answer,
  type Ask,
  type Entry,
  type Visit,
} from './aisle';
import type { PriceBookView } from './priceBookView';

type Read = Omit<Price, 'id' | 'storeId'>;

/** What the list of prices is drawn from. */
export interface ShelfProps {
  desk: PriceBookView;
  visit: Visit;
  asks: Ask[];
  ask: Ask;
  onVisit: (visit: Visit) => void;
}

/** What is typed at one shelf, and what each button makes of it. */
export const useShelf = ({ desk, visit, asks, ask, onVisit }: ShelfProps) => {
  const { unit, offers, dispatch } = desk;
  /** What is asked about before it is taken, and where it goes on then. */
  const [doubt, setDoubt] = useState<{ outlier: PriceOutlier; goOn: Measure | null } | null>(null);
  const tries = useTries();
  const entry: Entry = { ...blankEntry(ask, unit), ...visit.entry };
  const read = readEntry(ask, entry, unit, desk.today);
  const asked = askedAt(desk, visit.storeId, ask, entry);
  const set = (fields: Partial<Entry>) => {
    setDoubt(null);
    onVisit({ ...visit, key: ask.key, entry: { ...entry, ...fields } });
  };
  /** In another length than was asked for, what was found stands for both. Goes on to another length, or to the next thing. */
  const answer = (given: Answer, found: string, goOn: Measure | null) => {
    const answers = { ...visit.answers, [found]: given, [ask.key]: given };
    const { unit: per, material } = entry;
    const next = goOn && { ...blankEntry(ask, unit), unit: per, material, length: withUnit(goOn, unit) };
    tries.restart();
    onVisit({ ...visit, answers, key: next ? found : null, entry: next });
  };
  const put = (price: Read, kind: 'priced' | 'out', goOn: Measure | null = null) => {
    // What was typed on this visit and is mended is one observation, not two.
    const found = itemKey(price.item);
    const before = visit.answers[found];
    const id = before && before.kind !== 'passed' ? before.priceId : newId();
    dispatch({ type: 'putPrices', prices: [{ ...price, id, storeId: visit.storeId }] });
    answer({ kind, priceId: id }, found, goOn);
  };
  const save = (goOn: Measure | null = null) => {
    // All that was found of it is in the book already.
    if (entry.price.trim() === '' && !goOn && ask.key in visit.answers)
      return onVisit({ ...visit, key: null, entry: null });
    tries.attempt();
    if (!read.ok) return;
    const outlier = doubtAbout(read.value, ask, visit.storeId, offers);
    if (outlier) setDoubt({ outlier, goOn });
    else put(read.value, 'priced', goOn);
  };
  return {
    entry,
    read,
    asked,
    doubt,
    set,
    save,
    fault: (place: string) => tries.told(faultAt(read, place)),
    /** To another length of the same board: what is typed for this one is kept. */
    toLength: (length: Measure, key: string | null) => {
      if (entry.price.trim() !== '') save(length);
      else if (key !== null && key !== ask.key && asks.some((other) => other.key === key))
        onVisit({ ...visit, key, entry: null });
      else set({ length: withUnit(length, unit) });
    },
    pass: () => {
      if (ask.key in visit.answers) onVisit({ ...visit, key: null, entry: null });
      else answer({ kind: 'passed' }, ask.key, null);
    },
    confirm: () => doubt && read.ok && put(read.value, 'priced', doubt.goOn),
    typeAgain: () => {
      set({ price: '' });
      tries.restart();
    },
    /** As it was seen last: so many are there; null: not counted. */
    again: (available: number | null) => {
      if (!asked.last) return;
      const { price, unit: per, pack, item, weight, rough } = newestOf(asked.last);
      put(
        {
          item,
          price,
          unit: per,
          pack,
          minQty: 1,
          available,
          date: desk.today,
          source: 'typed',
          note: '',
          ...(weight ? { weight } : {}),
          ...(rough ? { rough } : {}),
        },
        available === 0 ? 'out' : 'priced',
      );
    },
  };
};
