/** Makes the icons of the installed app from public/favicon.svg. Run by `npm run icons` when the mark changes. */
import { readFileSync, writeFileSync } from 'node:fs';
import { launch } from '../harness/browser';

const MARK = readFileSync('public/favicon.svg', 'utf8');
const GROUND = '#20302B';
/** A maskable icon may lose its outer tenth on each side: the mark stays within. */
const ICONS: [file: string, size: number, share: number][] = [
  ['icon-180.png', 180, 1],
  ['icon-192.png', 192, 1],
  ['icon-512.png', 512, 1],
  ['icon-maskable-512.png', 512, 0.72],
];

const main = async () => {
  const browser = await launch();
  for (const [file, size, share] of ICONS) {
    const page = await browser.newPage({ viewport: { width: size, height: size } });
    const mark = MARK.replace('<svg ', `<svg width="${size * share}" height="${size * share}" `);
    await page.setContent(
      `<body style="margin:0;height:100vh;display:grid;place-items:center;background:${GROUND}">${mark}</body>`,
    );
    writeFileSync(`public/${file}`, await page.screenshot());
    await page.close();
  }
  await browser.close();
};
void main();
