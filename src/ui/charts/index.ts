/** The charts, in a file of their own that is fetched when one is first drawn. */
export * from './BarsChart';
export * from './HistoryChart';
export * from './SpentChart';
