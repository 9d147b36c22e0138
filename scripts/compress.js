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
  fs.writeFileSync(
    `${file}.br`,
    zlib.brotliCompressSync(content, { params: { [zlib.constants.BROTLI_PARAM_QUALITY]: 10 } }),
  );
  fs.writeFileSync(`${file}.gz`, zlib.gzipSync(content, { level: 9 }));
}
