import { once } from 'node:events';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { app } from './app';

let server: Server;
let address = '';

beforeAll(async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'billet-'));
  writeFileSync(path.join(folder, 'index.html'), '<title>Billet</title>'.repeat(200));
  writeFileSync(path.join(folder, `entry-${'0123456789abcdef'.repeat(2)}.js`), '1');
  writeFileSync(path.join(folder, 'font.ttf'), 'plain');
  writeFileSync(path.join(folder, 'font.ttf.gz'), gzipSync('compressed beforehand'));
  server = app(folder).listen(0, '127.0.0.1');
  await once(server, 'listening');
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => server.close());

const get = (place: string) => fetch(address + place);

test('health', async () => {
  const response = await get('/api/health');
  expect(await response.json()).toEqual({ status: 'ok' });
});

test('every place of the app is the page, asked for again each time and compressed', async () => {
  for (const place of ['/', '/settings', '/project/abc/parts']) {
    const response = await get(place);
    expect(response.status).toBe(200);
    expect(await response.text()).toContain('Billet');
    expect(response.headers.get('cache-control')).toBe('no-cache');
    expect(response.headers.get('content-encoding')).toMatch(/gzip|br|deflate/);
  }
});

test('hashed files are kept for a year; what is not there is not found', async () => {
  const file = await get(`/entry-${'0123456789abcdef'.repeat(2)}.js`);
  expect(file.headers.get('cache-control')).toMatch(/max-age=31536000, immutable/);
  expect((await get('/missing.js')).status).toBe(404);
  expect((await get('/api/missing')).status).toBe(404);
});

test('what the build compressed is served so, to those who take it', async () => {
  const response = await get('/font.ttf');
  expect(await response.text()).toBe('compressed beforehand');
  expect(response.headers.get('content-type')).toMatch(/font/);
  const plain = await fetch(`${address}/font.ttf`, { headers: { 'Accept-Encoding': 'identity' } });
  expect(await plain.text()).toBe('plain');
  expect((await get('/..%2f..%2fetc%2fpasswd.txt')).status).not.toBe(200);
});

test('the policy lets the worker and WebAssembly run, and nothing from elsewhere', async () => {
  const policy = (await get('/')).headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
  expect(policy).toContain("worker-src 'self'");
  expect(policy).not.toMatch(/https?:|unsafe-eval'.*unsafe-eval/);
});

test('a folder whose name begins with a dot is served, and nothing of its neighbours', async () => {
  const above = mkdtempSync(path.join(tmpdir(), 'billet-'));
  for (const name of ['.kept/app', '.kept/app-old']) {
    mkdirSync(path.join(above, name), { recursive: true });
    writeFileSync(path.join(above, name, 'index.html'), name);
    writeFileSync(path.join(above, name, 'x.txt'), name);
    writeFileSync(path.join(above, name, 'x.txt.gz'), gzipSync(name));
  }
  const other = app(path.join(above, '.kept/app')).listen(0, '127.0.0.1');
  await once(other, 'listening');
  const at = `http://127.0.0.1:${(other.address() as AddressInfo).port}`;
  expect(await (await fetch(`${at}/parts`)).text()).toBe('.kept/app');
  expect(await (await fetch(`${at}/x.txt`)).text()).toBe('.kept/app');
  for (const place of ['/..%2fapp-old/x.txt', '/%2e%2e/app-old/x.txt', '/..%5capp-old%5cx.txt'])
    expect(await (await fetch(at + place)).text()).not.toContain('app-old');
  other.close();
});

test('a bad address is answered in a sentence, without a path of the server', async () => {
  const response = await get('/%E0%A4%A');
  expect(response.status).toBe(400);
  expect(await response.text()).toBe('This address cannot be read.');
});

test.each(['since=2026-02-30', 'since[a]=1', 'sinse=2026-01-01', 'since=yesterday'])(
  'prices are not told for %s',
  async (query) => {
    const { stores } = (await (await get('/api/stores')).json()) as { stores: { id: string }[] };
    const response = await get(`/api/stores/${stores[0]?.id}/prices?${query}`);
    expect(response.status).toBe(400);
    expect(((await response.json()) as { error: string }).error).toMatch(/write/);
  },
);
