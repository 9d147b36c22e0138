import { once } from 'node:events';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { request as ask } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { serverOf } from './app';
import { stoppable } from './stoppable';

const FILE = `/entry-${'0123456789abcdef'.repeat(2)}.js`;
const BIG = `/later-${'fedcba9876543210'.repeat(2)}.js`;
const SCRIPT = 'say("hello");'.repeat(300);
const MANY_BYTES = 30_000_000;
/** Longer than any test may wait for the other side. */
const GRACE = 10_000;

let folder = '';
let stop: (grace: number) => Promise<void>;
let port = 0;

beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'billet-'));
  writeFileSync(path.join(folder, 'index.html'), '<title>Billet</title>');
  writeFileSync(path.join(folder, FILE), SCRIPT);
  writeFileSync(path.join(folder, `${FILE}.br`), brotliCompressSync(SCRIPT));
  writeFileSync(path.join(folder, BIG), 'x'.repeat(MANY_BYTES));
});
/** Serves with so long, in ms, for the head of a request. A busy machine may keep this process itself from going on for a second. */
const start = async (headMs: number): Promise<void> => {
  const server = serverOf(folder, undefined, { head: headMs, request: 30_000 });
  stop = stoppable(server);
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  port = (server.address() as AddressInfo).port;
};
beforeEach(() => start(30_000));
afterEach(() => stop(0));

const opened = async (): Promise<Socket> => {
  const socket = connect(port, '127.0.0.1');
  await once(socket, 'connect');
  return socket;
};

const head = (place: string, more = ''): string => `GET ${place} HTTP/1.1\r\nHost: x\r\n${more}\r\n`;

/** How many answers, each with its whole body, came in on a socket before it was quiet or `wanted` were there. */
const answersOn = (socket: Socket, wanted: number, body: string): Promise<number> =>
  new Promise((done) => {
    let seen = 0;
    let rest = '';
    socket.setEncoding('latin1').on('data', (chunk: string) => {
      rest += chunk;
      for (let at = rest.indexOf(body); at >= 0; at = rest.indexOf(body)) {
        seen++;
        rest = rest.slice(at + body.length);
      }
      if (seen >= wanted) done(seen);
    });
    socket.on('close', () => done(seen));
  });

test('two thousand requests, pipelined on twenty connections, are all answered whole', async () => {
  const sockets = await Promise.all(Array.from({ length: 20 }, opened));
  const counts = await Promise.all(
    sockets.map((socket) => {
      const answers = answersOn(socket, 100, SCRIPT);
      socket.write(head(FILE).repeat(100));
      return answers;
    }),
  );
  expect(counts).toEqual(Array.from({ length: 20 }, () => 100));
  sockets.forEach((socket) => socket.destroy());
});

test('half a request on 300 connections keeps nobody waiting, and they are let go', async () => {
  await stop(0);
  await start(3_000);
  const halves = await Promise.all(Array.from({ length: 300 }, opened));
  const closed = Promise.all(
    halves.map(async (socket) => {
      socket.on('error', () => undefined).resume();
      socket.write('GET / HTTP/1.1\r\nHost: x\r\nX-Slow');
      await once(socket, 'close');
    }),
  );
  for (let count = 0; count < 20; count++) {
    const response = await fetch(`http://127.0.0.1:${port}${FILE}`);
    expect(await response.text()).toBe(SCRIPT);
  }
  await closed;
});

test('a request that comes byte by byte is answered; nonsense is refused and hurts nobody', async () => {
  const slow = await opened();
  const answer = answersOn(slow, 1, SCRIPT);
  for (const byte of head(FILE)) slow.write(byte);
  expect(await answer).toBe(1);
  slow.destroy();
  for (const text of [
    '\0\0\0\r\n\r\n',
    'GET\r\n\r\n',
    'HELLO / HTTP/9.9\r\n\r\n',
    `${'A'.repeat(70_000)}\r\n\r\n`,
  ]) {
    const socket = await opened();
    socket.on('error', () => undefined).resume();
    socket.write(text);
    await once(socket, 'close');
  }
  expect((await fetch(`http://127.0.0.1:${port}/`)).status).toBe(200);
});

test.each([
  ['br', 'br'],
  ['gzip, br;q=0', undefined],
  ['identity', undefined],
  ['BR ; q=0.5', 'br'],
])('for "%s" it is sent as %s', async (accepted, encoding) => {
  const response = await new Promise<{ headers: Record<string, unknown>; size: number }>((done) => {
    ask({ port, path: FILE, headers: { 'Accept-Encoding': accepted } }, (answer) => {
      let size = 0;
      answer.on('data', (chunk: Buffer) => (size += chunk.length));
      answer.on('end', () => done({ headers: answer.headers, size }));
    }).end();
  });
  expect(response.headers['content-encoding']).toBe(encoding);
  expect(String(response.size)).toBe(response.headers['content-length']);
  expect(response.headers['content-security-policy']).toContain("script-src 'self'");
  expect(response.headers['vary']).toBe('Accept-Encoding');
});

test.each([
  '/../app.ts',
  '/./entry.js',
  `/a/..${FILE}`,
  `/%2e%2e${FILE}`,
  `//x${FILE}`,
  `${FILE}/`,
  `${FILE}\0`,
])('the address %j is nothing of another folder', async (place) => {
  const socket = await opened();
  let text = '';
  socket.on('error', () => undefined).on('data', (chunk: Buffer) => (text += chunk.toString()));
  socket.write(head(place, 'Connection: close\r\n'));
  await once(socket, 'close');
  expect(text).toMatch(/^HTTP\/1\.1 (?:200|40\d) /);
  expect(text).not.toContain('createServer');
  expect(text).not.toContain(folder);
});

test('told to stop, it first sends what it is sending, to the last byte', async () => {
  const socket = await opened();
  socket.write(head(BIG));
  await once(socket, 'readable');
  const stopping = stop(GRACE);
  let size = 0;
  socket.on('data', (chunk: Buffer) => (size += chunk.length));
  await once(socket, 'close');
  await stopping;
  expect(size).toBeGreaterThan(MANY_BYTES);
  await expect(fetch(`http://127.0.0.1:${port}/`)).rejects.toThrow();
});
