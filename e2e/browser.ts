import { spawn, type ChildProcess } from 'node:child_process';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';

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

/** Serves the built app on a port of its own; ends with `stop`. `settings` are of its environment. */
export const serve = (
  port: number,
  settings: Record<string, string> = {},
  folder = 'dist',
): Promise<{ address: string; stop: () => void }> =>
  new Promise((resolve, reject) => {
    const server: ChildProcess = spawn(process.execPath, ['.billet/server.cjs', folder], {
      env: { ...process.env, ...settings, PORT: String(port) },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    process.once('exit', () => server.kill());
    server.stdout?.on('data', () =>
      resolve({ address: `http://localhost:${port}`, stop: () => server.kill() }),
    );
    server.on('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });

/** A new browser profile of a size, that remembers every error a page tells of. */
export const visit = async (
  browser: Browser,
  size: typeof PHONE,
  theme: 'light' | 'dark' = 'light',
  serviceWorkers: 'allow' | 'block' = 'block',
): Promise<{ context: BrowserContext; page: Page; complaints: string[] }> => {
  const context = await browser.newContext({
    viewport: size,
    colorScheme: theme,
    acceptDownloads: true,
    hasTouch: size === PHONE,
    reducedMotion: 'reduce',
    serviceWorkers,
  });
  const page = await context.newPage();
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  page.on('pageerror', (error) => complaints.push(String(error)));
  return { context, page, complaints };
};
