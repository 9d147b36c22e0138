import { existsSync } from 'node:fs';
import path from 'node:path';
import { serverOf } from './app';
import { stoppable } from './stoppable';

const DEFAULT_PORT = 4180;
/** So long may answers take after the server was told to stop, in ms. */
const GRACE = 2000;
const folder = path.resolve(process.argv[2] ?? 'dist');
const port = Number(process.env['PORT'] ?? DEFAULT_PORT);

if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`PORT is "${process.env['PORT']}", which is not a port; set it to a number from 1 to 65535.`);
  process.exit(1);
}

if (!existsSync(path.join(folder, 'index.html'))) {
  console.error(`There is no built app in ${folder}. Build it with bin/build, or name its folder.`);
  process.exit(1);
}

// For tests: a day for the simulated stores, and requests that may ask for slow, failing and nonsense answers.
const today = process.env.BILLET_TODAY;
const server = serverOf(folder, {
  today: () => today ?? new Date().toISOString().slice(0, 10),
  switches: process.env.BILLET_FEED_SWITCHES === '1',
});
const stop = stoppable(server);
server.listen(port, '127.0.0.1');
server.on('listening', () => console.log(`Billet is at http://localhost:${port}`));
server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    console.error(
      `Port ${port} is taken by another program. End that one, or start Billet on another port: PORT=${port + 1} bin/start`,
    );
  else console.error(`Billet could not start: ${error.message}`);
  process.exit(1);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => void stop(GRACE).then(() => process.exit(0)));
