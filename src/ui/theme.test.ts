import { darkTheme, lightTheme, type Colors } from './theme';

/** Relative luminance and contrast as in WCAG 2.2. */
const luminance = (hex: string): number => {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((start) => {
    const share = parseInt(hex.slice(start, start + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
};
const contrast = (a: string, b: string): number => {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
};

test('the measure itself: black on white is 21 to 1 (WCAG 2.2)', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 6);
});

describe.each([
  ['light', lightTheme.ink],
  ['dark', darkTheme.ink],
] as [string, Colors][])('%s', (_name, ink) => {
  test('every word stands out by 4.5 to 1 from what it is written on', () => {
    const grounds = [ink.paper, ink.card, ink.pale];
    for (const ground of grounds)
      for (const word of [ink.ink, ink.soft]) expect(contrast(word, ground)).toBeGreaterThanOrEqual(4.5);
    for (const ground of [ink.paper, ink.card])
      for (const word of [ink.spruce, ink.red]) expect(contrast(word, ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(ink.onBar, ink.bar)).toBeGreaterThanOrEqual(4.5);
    for (const wood of Object.values(ink.wood))
      expect(contrast(ink.onWood, wood)).toBeGreaterThanOrEqual(4.5);
  });
});
