import { Router, type Response } from 'express';
import schema from './feed.schema.json';
import { catalogueOf, STORES, type CatalogueItem, type FeedStore } from './catalogue';
import { changedOn, dayNumber, isOut, isoOf, priceOn } from './movement';
import { openApi } from './openApi';

export interface FeedOptions {
  /** Today, as an ISO date. */
  today: () => string;
  /** Whether a request may ask for a slow, failing or nonsense answer; for tests only. */
  switches: boolean;
}

const ISO_DATE = /^\d{4}-\d{2}-\d{2}$/;
/** What a request may say; the last two are for tests. */
const PARAMETERS = ['since', 'latency', 'answer'];

/** Whether a text of the right form is a day of the calendar. */
const isDay = (text: string): boolean => !Number.isNaN(dayNumber(text)) && isoOf(dayNumber(text)) === text;

const MAX_LATENCY = 10_000;

/** A price as it is told. */
type Told = Omit<CatalogueItem, 'base'> & { price: number; available: number | null; date: string };

const toldToday = new Map<string, { day: number; rows: Told[] }>();

/** All that a store sells on a day; worked out once a day. */
const rowsOf = (store: FeedStore, day: number): Told[] => {
  const held = toldToday.get(store.id);
  if (held?.day === day) return held.rows;
  const rows = catalogueOf(store).map(({ base, ...named }): Told => {
    const thing = { base, ...named };
    const available = isOut(store, thing, day) ? 0 : null;
    return {
      ...named,
      price: priceOn(store, thing, day),
      available,
      date: isoOf(changedOn(store, thing, day)),
    };
  });
  toldToday.set(store.id, { day, rows });
  return rows;
};

/** Everything a store has told of since a day, or all it sells. */
const pricesOf = (store: FeedStore, today: string, since: string | null) => ({
  format: 'billet-store-prices',
  version: 1,
  store: summaryOf(store),
  asOf: today,
  since,
  prices: rowsOf(store, dayNumber(today)).filter(({ date }) => since === null || date > since),
});

const summaryOf = ({ id, name, kind, currency, trip }: FeedStore) => ({ id, name, kind, currency, trip });

/** The stand-in for the stores' own price services: invented stores whose prices move day by day from a fixed seed. */
export const feed = ({ today, switches }: FeedOptions): Router => {
  const router = Router();
  const refuse = (response: Response, status: number, error: string) =>
    response.status(status).json({ error });
  if (switches)
    router.use((request, response, next) => {
      const latency = Math.min(MAX_LATENCY, Number(request.query['latency'] ?? 0) || 0);
      const answer = request.query['answer'];
      setTimeout(() => {
        if (answer === 'error')
          return refuse(response, 503, 'The store does not answer now. Try again later.');
        if (answer === 'nonsense')
          return response.json({ format: 'billet-store-prices', version: 1, prices: [{ price: 'free' }] });
        if (answer === 'cut') return response.type('application/json').send('{"format": "billet-store-pri');
        next();
      }, latency);
    });
  router.get('/stores', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.json({
      format: 'billet-stores',
      version: 1,
      stores: STORES.map(summaryOf),
    });
  });
  router.get('/stores/:id/prices', (request, response) => {
    const store = STORES.find(({ id }) => id === request.params.id);
    if (!store)
      return refuse(
        response,
        404,
        `There is no store "${request.params.id}" here. GET /api/stores lists them.`,
      );
    const since = request.query['since'];
    if (since !== undefined && (typeof since !== 'string' || !ISO_DATE.test(since) || !isDay(since)))
      return refuse(response, 400, `since is "${String(since)}"; write a day such as 2026-11-14.`);
    const unknown = Object.keys(request.query).find((name) => !PARAMETERS.includes(name));
    if (unknown !== undefined)
      return refuse(
        response,
        400,
        `"${unknown}" means nothing here; write since, with a day such as 2026-11-14.`,
      );
    response.setHeader('Cache-Control', 'no-cache');
    response.json(pricesOf(store, today(), since ?? null));
  });
  router.get('/prices.schema.json', (_request, response) => {
    response.json(schema);
  });
  router.get('/openapi.json', (_request, response) => {
    response.json(openApi);
  });
  return router;
};
