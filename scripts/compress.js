/** Writes a .br and a .gz beside every file of the build that gets smaller by it, so that serving costs nothing. */
const fs = require('node:fs');
const path = require('node:path');
const zlib = require('node:zlib');

const COMPRESSIBLE = /\.(js|css|html|json|svg|ttf|wasm)$/;

const files = (folder) =>
  fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const place = path.join(folder, entry.name);
    return entry.isDirectory() ? files(place) : [place];
  });

for (const file of files(process.argv[2]).filter((name) => COMPRESSIBLE.test(name))) {
  const content = fs.readFileSync(file);
  // Scripts are what one waits for: theirs is the best there is, at a second for each megabyte.
  const quality = file.endsWith('.js') ? 11 : 10;
  const params = { [zlib.constants.BROTLI_PARAM_QUALITY]: quality };
  fs.writeFileSync(`${file}.br`, zlib.brotliCompressSync(content, { params }));
  fs.writeFileSync(`${file}.gz`, zlib.gzipSync(content, { level: 9 }));
}
