/** Writes the fonts that ship with the app as the web takes them, whole, with their licence: `npm run fonts`. */
const fs = require('node:fs');
const path = require('node:path');
const { compress } = require('wawoff2');

const FROM = path.join(__dirname, '../node_modules/@expo-google-fonts/ibm-plex-sans-condensed');
const TO = path.join(__dirname, '../public/fonts');

const main = async () => {
  fs.mkdirSync(TO, { recursive: true });
  for (const weight of ['400Regular', '500Medium', '700Bold']) {
    const font = fs.readFileSync(path.join(FROM, weight, `IBMPlexSansCondensed_${weight}.ttf`));
    fs.writeFileSync(path.join(TO, `condensed-${Number.parseInt(weight, 10)}.woff2`), await compress(font));
  }
  fs.copyFileSync(path.join(FROM, 'LICENSE_FONT'), path.join(TO, 'LICENSE.txt'));
};
void main();
