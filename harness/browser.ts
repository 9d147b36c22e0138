import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import {
  chromium,
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  type Page,
} from '@playwright/test';
import { workshopTexts } from './workshop';

export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };

/** Debian's Chromium, quiet and without reaching outside. */
export const launch = (): Promise<Browser> =>
  chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });

/** A built app that is served. */
export interface Site {
  address: string;
  port: number;
  stop: () => Promise<void>;
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

/** Serves the built app of `folder` on a free port, or on `port`. `settings` are of the server's environment. */
export const serve = async (
  settings: Record<string, string> = {},
  folder = 'dist',
  port?: number,
): Promise<Site> => {
  const own = port ?? (await freePort());
  const server: ChildProcess = spawn(process.execPath, ['.billet/server.cjs', folder], {
    env: { ...process.env, ...settings, PORT: String(own) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const ended = new Promise<void>((resolve) => server.once('exit', () => resolve()));
  process.once('exit', () => server.kill());
  await new Promise<void>((resolve, reject) => {
    server.stdout?.once('data', () => resolve());
    server.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  const stop = (): Promise<void> => {
    server.kill();
    return ended;
  };
  const address = `http://localhost:${own}`;
  addresses.push(address);
  return { address, port: own, stop };
};

interface Visit {
  context: BrowserContext;
  page: Page;
  complaints: string[];
}

/** Where apps are served from here. */
const addresses: string[] = [];
let workshop: { name: string; value: string }[] | null = null;

/** What a browser keeps for every address, as an earlier version kept it: three projects of one's own. */
const workshopState = () => {
  workshop ??= Object.entries(workshopTexts()).map(([name, value]) => ({ name, value }));
  const localStorage = workshop;
  return { cookies: [], origins: addresses.map((origin) => ({ origin, localStorage })) };
};

/** A browser profile of a size, of someone with three projects, that remembers every error a page tells of. */
export const visit = (
  browser: Browser,
  size: { width: number; height: number },
  theme: 'light' | 'dark' = 'light',
  serviceWorkers: 'allow' | 'block' = 'block',
): Promise<Visit> =>
  open(browser, size, { colorScheme: theme, serviceWorkers, storageState: workshopState() });

/** A browser in which nothing is kept yet. */
export const visitNew = (browser: Browser, size: { width: number; height: number }): Promise<Visit> =>
  open(browser, size, { colorScheme: 'light', serviceWorkers: 'block' });

const open = async (
  browser: Browser,
  size: { width: number; height: number },
  options: BrowserContextOptions,
): Promise<Visit> => {
  const context = await browser.newContext({
    ...options,
    viewport: size,
    acceptDownloads: true,
    hasTouch: size === PHONE,
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  page.on('pageerror', (error) => complaints.push(String(error)));
  return { context, page, complaints };
};
