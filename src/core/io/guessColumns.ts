import { PRICE_COLUMNS, type PriceColumn } from './pricesCsv';

/** Words that headings of other sheets use for a column; the more telling ones first. */
const WORDS: Record<PriceColumn, string[]> = {
  store: ['store', 'shop', 'supplier', 'vendor', 'seller', 'merchant', 'yard', 'where'],
  item: ['item', 'description', 'article', 'product', 'name', 'tag', 'what'],
  kind: ['kind', 'type', 'category'],
  section: ['section', 'profile', 'dimension', 'thickness', 'size', 'cross'],
  length: ['length', 'long', 'len'],
  width: ['width', 'wide'],
  material: ['material', 'species', 'wood', 'timber', 'grade'],
  price: ['price', 'cost', 'amount', 'each', 'usd', 'eur'],
  unit: ['unit', 'per', 'uom', 'by'],
  pack: ['pack', 'pieces', 'count', 'bundle', 'qty', 'quantity'],
  available: ['available', 'stock', 'left'],
  unusable: ['unusable', 'ears', 'checks'],
  min_qty: ['min_qty', 'minimum', 'min', 'from'],
  date: ['date', 'seen', 'day', 'updated', 'when'],
};

const words = (heading: string): string[] =>
  heading
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word !== '');

/** How well a heading fits a column: its own name best, then by the place of the word it uses; 0: not at all. */
const fit = (heading: string, column: PriceColumn): number => {
  if (heading.trim().toLowerCase() === column) return 100;
  const inside = words(heading);
  const place = WORDS[column].findIndex((word) => inside.includes(word));
  // A unit price is a price.
  return place < 0 ? 0 : 50 - place * 4 - inside.length + (column === 'price' ? 10 : 0);
};

/** What each heading of a sheet probably stands for: every column once, the best fit first. */
export const guessColumns = (headings: string[]): Record<string, PriceColumn | ''> => {
  const guesses = headings
    .flatMap((heading) => PRICE_COLUMNS.map((column) => ({ heading, column, fits: fit(heading, column) })))
    .filter(({ fits }) => fits > 0)
    .sort((a, b) => b.fits - a.fits);
  const found: Record<string, PriceColumn | ''> = Object.fromEntries(
    headings.map((heading) => [heading, '']),
  );
  const taken = new Set<PriceColumn>();
  for (const { heading, column } of guesses)
    if (found[heading] === '' && !taken.has(column)) {
      found[heading] = column;
      taken.add(column);
    }
  return found;
};
