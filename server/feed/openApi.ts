const json = (schema: object) => ({ content: { 'application/json': { schema } } });
const error = (description: string) => ({
  description,
  ...json({ type: 'object', required: ['error'], properties: { error: { type: 'string' } } }),
});

/** The description of the simulated price service. */
export const openApi = {
  openapi: '3.1.0',
  info: {
    title: 'Simulated store prices',
    version: '1',
    description:
      'A stand-in for the price services of stores. Every store and price is invented; prices move day by day from a fixed seed.',
  },
  paths: {
    '/api/stores': {
      get: {
        summary: 'The stores there are',
        responses: { 200: { description: 'Their names and what a trip costs', ...json({ type: 'object' }) } },
      },
    },
    '/api/stores/{id}/prices': {
      get: {
        summary: 'What a store sells, or what has changed since a day',
        parameters: [
          { name: 'id', in: 'path', required: true, schema: { type: 'string' } },
          {
            name: 'since',
            in: 'query',
            required: false,
            schema: { type: 'string', format: 'date' },
            description: 'Only prices that changed after this day.',
          },
          {
            name: 'If-None-Match',
            in: 'header',
            required: false,
            schema: { type: 'string' },
            description: 'The ETag of the last answer.',
          },
        ],
        responses: {
          200: { description: 'Prices, with an ETag', ...json({ $ref: '/api/prices.schema.json' }) },
          304: { description: 'Nothing has changed since the answer of that ETag' },
          400: error('since is not a day'),
          404: error('there is no such store'),
        },
      },
    },
  },
};
