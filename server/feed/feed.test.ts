import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Ajv } from 'ajv';
import express from 'express';
import fc from 'fast-check';
import { feed } from '.';
import { catalogueOf, STORES } from './catalogue';
import { changedOn, dayNumber, isOut, isoOf, priceOn } from './movement';
import schema from './feed.schema.json';
import { boardFeet, parseSection } from '../../src/core/lumber';

interface Answer {
  prices: { item: string; price: number; available: number | null; date: string }[];
}

let today = '2026-11-25';
let server: Server;
let address = '';
beforeAll(async () => {
  server = express()
    .use('/api', feed({ today: () => today, switches: true }))
    .listen(0, '127.0.0.1');
  await once(server, 'listening');
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
});
afterAll(() => server.close());

const get = (place: string, headers: Record<string, string> = {}) => fetch(address + place, { headers });
const prices = async (place: string): Promise<Answer> => (await (await get(place)).json()) as Answer;
const validate = new Ajv({ allErrors: true }).compile(schema);

test('four invented stores with some four hundred items each, in the form of the schema', async () => {
  const { stores } = (await (await get('/stores')).json()) as { stores: { id: string }[] };
  expect(stores).toHaveLength(4);
  for (const { id } of stores) {
    const answer = await prices(`/stores/${id}/prices`);
    expect(validate(answer)).toBe(true);
    expect(answer.prices.length).toBeGreaterThan(350);
    expect(answer.prices.length).toBeLessThan(450);
    expect(new Set(answer.prices.map(({ item }) => item)).size).toBe(answer.prices.length);
  }
});

test('the same day gives the same prices; another day moves some of them', async () => {
  const first = await prices('/stores/millrace/prices');
  expect(await prices('/stores/millrace/prices')).toEqual(first);
  today = '2026-11-28';
  const later = await prices('/stores/millrace/prices');
  today = '2026-11-25';
  const before = new Map(first.prices.map(({ item, price }) => [item, price]));
  const moved = later.prices.filter(({ item, price }) => before.get(item) !== price);
  expect(moved.length).toBeGreaterThan(10);
  expect(moved.length).toBeLessThan(later.prices.length);
});

test('since: just what changed after that day, and nothing when that is today', async () => {
  const all = await prices('/stores/kestrel/prices');
  const some = await prices('/stores/kestrel/prices?since=2026-11-23');
  expect(some.prices).toEqual(all.prices.filter(({ date }) => date > '2026-11-23'));
  expect(some.prices.length).toBeGreaterThan(0);
  expect((await prices('/stores/kestrel/prices?since=2026-11-25')).prices).toEqual([]);
});

test('an ETag that still holds is answered with 304', async () => {
  const first = await get('/stores/kestrel/prices');
  const tag = first.headers.get('etag') ?? '';
  expect(tag).not.toBe('');
  expect(
    (await get('/stores/kestrel/prices', { 'If-None-Match': tag, 'Cache-Control': 'max-age=0' })).status,
  ).toBe(304);
  today = '2026-12-09';
  expect(
    (await get('/stores/kestrel/prices', { 'If-None-Match': tag, 'Cache-Control': 'max-age=0' })).status,
  ).toBe(200);
  today = '2026-11-25';
});

test('what cannot be answered says why', async () => {
  const unknown = await get('/stores/nowhere/prices');
  expect([unknown.status, await unknown.json()]).toEqual([
    404,
    { error: expect.stringMatching(/no store "nowhere"/) },
  ]);
  const wrong = await get('/stores/kestrel/prices?since=tuesday');
  expect([wrong.status, await wrong.json()]).toEqual([
    400,
    { error: expect.stringMatching(/since is "tuesday"/) },
  ]);
});

test('the switches for tests: slow, failing, nonsense, broken off', async () => {
  const began = performance.now();
  await get('/stores?latency=120');
  expect(performance.now() - began).toBeGreaterThan(110);
  expect((await get('/stores/kestrel/prices?answer=error')).status).toBe(503);
  expect(validate(await (await get('/stores/kestrel/prices?answer=nonsense')).json())).toBe(false);
  await expect((await get('/stores/kestrel/prices?answer=cut')).json()).rejects.toThrow();
});

test('the description names every address, and refers to the schema', async () => {
  const description = (await (await get('/openapi.json')).json()) as { paths: object };
  expect(Object.keys(description.paths)).toEqual(['/api/stores', '/api/stores/{id}/prices']);
  expect(await (await get('/prices.schema.json')).json()).toEqual(schema);
});

describe('laws of how prices move', () => {
  const anyDay = fc.integer({ min: dayNumber('2024-01-01'), max: dayNumber('2030-12-31') });
  const anyThing = fc
    .constantFrom(...STORES)
    .chain((store) => fc.tuple(fc.constant(store), fc.constantFrom(...catalogueOf(store))));

  test('a tag is more than nothing and within a half of its base', () => {
    fc.assert(
      fc.property(anyThing, anyDay, ([store, thing], day) => {
        const price = priceOn(store, thing, day);
        expect(price).toBeGreaterThan(0);
        expect(price).toBeLessThan(thing.base * 1.6 + 0.2);
        expect(Math.round(price * 100) % 10).toBe(8);
      }),
    );
  });

  test('the day a price is dated is the first on which it was so', () => {
    fc.assert(
      fc.property(anyThing, anyDay, ([store, thing], day) => {
        const changed = changedOn(store, thing, day);
        expect(changed).toBeLessThanOrEqual(day);
        for (let held = changed + 1; held <= day; held++)
          expect([priceOn(store, thing, held), isOut(store, thing, held)]).toEqual([
            priceOn(store, thing, day),
            isOut(store, thing, day),
          ]);
        expect(dayNumber(isoOf(changed))).toBe(changed);
      }),
      { numRuns: 60 },
    );
  });

  test('something is out of stock and something on sale on any day, and cedar is short now and then', () => {
    const [store] = STORES;
    const things = catalogueOf(store!);
    const day = dayNumber('2026-11-25');
    expect(things.filter((thing) => isOut(store!, thing, day)).length).toBeGreaterThan(2);
    const board = things.find(({ item }) => item === '2x4x8 stud')!;
    const prices = Array.from({ length: 365 }, (_, n) => priceOn(store!, board, day + n));
    expect(Math.max(...prices) / Math.min(...prices)).toBeGreaterThan(1.08);
  });
});

test('boards are priced by the board foot of their nominal size (PS 20): longer and wider is dearer', () => {
  const things = catalogueOf(STORES[0]!).filter(
    ({ kind, material }) => kind === 'board' && material === 'treated',
  );
  for (const { section, length, base } of things) {
    const read = parseSection(section);
    if (!read.ok) throw new Error(section);
    const perBoardFoot = base / boardFeet(read.value, (length ?? 0) * 320);
    expect(perBoardFoot).toBeGreaterThan(1);
    expect(perBoardFoot).toBeLessThan(1.3);
  }
});
