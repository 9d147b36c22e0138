/** Takes what several places share out of what the page loads first, and names it for `src/platform/later.ts`. */
const fs = require('node:fs');
const path = require('node:path');

const file = path.join(process.argv[2], 'index.html');
const page = fs.readFileSync(file, 'utf8');
const found = /<script src="([^"]*\/__common-[^"]+\.js)" defer><\/script>/.exec(page);
if (found)
  fs.writeFileSync(
    file,
    page
      .replace(found[0], '')
      .replace('</head>', `  <meta name="billet-shared" content="${found[1]}" />\n  </head>`),
  );
console.log(
  found ? `Shared by several places, fetched with the first of them: ${found[1]}` : 'Nothing is shared',
);
