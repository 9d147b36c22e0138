import { existsSync, readFileSync, statSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import path from 'node:path';

/** Whether a file's name holds a hash of its content, so that what was read of it once holds for good. */
export const isHashed = (file: string): boolean => /[.-][0-9a-f]{32}\./.test(path.basename(file));

const YEAR_IN_SECONDS = 365 * 24 * 3600;

/** For how long a browser may keep a file: a year where its name holds its hash; anything else is asked for again. */
export const cachingOf = (file: string): string =>
  isHashed(file) ? `public, max-age=${YEAR_IN_SECONDS}, immutable` : 'no-cache';

/** How the build compressed files, the smallest first. */
export const FORMS = [
  { encoding: 'br', ending: '.br' },
  { encoding: 'gzip', ending: '.gz' },
] as const;

/** A file, or one of its compressed forms, as it is sent. */
interface Form {
  body: Buffer;
  headers: Record<string, string>;
}

const TYPES: Record<string, string> = {
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.json': 'application/json; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.png': 'image/png',
  '.ttf': 'font/ttf',
  '.woff2': 'font/woff2',
  '.wasm': 'application/wasm',
};

/** Characters of an address that stands for itself: nothing escaped, no way up. */
const PLAIN = /^\/(?:[\w@-][\w@.-]*\/)*[\w@-][\w@.-]*$/;

type Answering = (request: IncomingMessage, response: ServerResponse) => boolean;

/**
 * Answers what asks for a hashed file of `folder` from memory, with `headers` beside its own; true where it did. Each is read when
 * it is first asked for. What is no such file is left to others.
 */
export const hashedFiles = (folder: string, headers: Record<string, string>): Answering => {
  const held = new Map<string, Map<string, Form>>();
  return (request, response) => {
    const { method, url = '' } = request;
    if ((method !== 'GET' && method !== 'HEAD') || !isHashed(url) || !PLAIN.test(url)) return false;
    const forms = held.get(url) ?? formsOf(path.join(folder, url), headers);
    if (!forms) return false;
    held.set(url, forms);
    const form = bestOf(forms, request.headers['accept-encoding']);
    if (!form) return false;
    response.writeHead(200, form.headers);
    response.end(method === 'HEAD' ? undefined : form.body);
    return true;
  };
};

const formsOf = (file: string, headers: Record<string, string>): Map<string, Form> | null => {
  const type = TYPES[path.extname(file)];
  if (type === undefined || !existsSync(file) || !statSync(file).isFile()) return null;
  const form = (encoding: string, at: string): [string, Form] => {
    const body = readFileSync(at);
    const own = {
      ...headers,
      'Content-Type': type,
      'Content-Length': String(body.length),
      'Cache-Control': cachingOf(file),
      Vary: 'Accept-Encoding',
      ...(encoding === '' ? {} : { 'Content-Encoding': encoding }),
    };
    return [encoding, { body, headers: own }];
  };
  const compressed = FORMS.filter(({ ending }) => existsSync(file + ending));
  return new Map([
    ...compressed.map(({ encoding, ending }) => form(encoding, file + ending)),
    form('', file),
  ]);
};

/** The smallest form that the browser takes. An encoding that it asks for with q=0 it does not take. */
const bestOf = (forms: Map<string, Form>, accepted: string | undefined): Form | undefined => {
  const taken = new Set(
    (accepted ?? '')
      .split(',')
      .map((one) => one.trim().split(/\s*;\s*/))
      .flatMap(([name = '', quality = '']) => (/^q=0(?:\.0*)?$/.test(quality) ? [] : [name.toLowerCase()])),
  );
  for (const [encoding, form] of forms) if (encoding === '' || taken.has(encoding)) return form;
  return undefined;
};
