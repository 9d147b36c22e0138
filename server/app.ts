import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { createServer, IncomingMessage, ServerResponse, type Server } from 'node:http';
import { Socket } from 'node:net';
import path from 'node:path';
import compression from 'compression';
import express, {
  type ErrorRequestHandler,
  type Express,
  type Request,
  type RequestHandler,
  type Response,
} from 'express';
import helmet from 'helmet';
import { REPORT_STYLE } from '../src/core/io/reportStyle';
import { feed, type FeedOptions } from './feed';
import { cachingOf, FORMS, hashedFiles } from './hashedFiles';

const isoToday = (): string => new Date().toISOString().slice(0, 10);

/** Answers with the form of a file that the build compressed, where there is one that the browser takes. */
const compressedBeforehand =
  (folder: string): RequestHandler =>
  (request, response, next) => {
    const asked = path.normalize(path.join(folder, request.path === '/' ? 'index.html' : request.path));
    const form = FORMS.find(
      ({ encoding, ending }) => request.acceptsEncodings(encoding) && existsSync(asked + ending),
    );
    const isInside = asked.startsWith(path.resolve(folder) + path.sep);
    if (request.method !== 'GET' || !isInside || !form) return next();
    response.type(path.extname(asked));
    response.setHeader('Content-Encoding', form.encoding);
    response.setHeader('Cache-Control', cachingOf(asked));
    response.vary('Accept-Encoding');
    // Below a root its own folders may begin with a dot.
    response.sendFile(path.relative(folder, asked + form.ending), { root: folder });
  };

/** Whatever goes wrong is answered in a sentence, never with what the server is made of. */
const tellFault: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
  if (response.headersSent) return next(error);
  const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500;
  response
    .status(status)
    .type('text/plain')
    .send(status < 500 ? 'This address cannot be read.' : 'Something went wrong here. Try again.');
};

/** Styles by their hash: those that stand in the page itself, the empty one that is filled rule by rule, and that of a report. */
const stylesIn = (page: string): string[] => {
  const own = [...readFileSync(page, 'utf8').matchAll(/<style[^>]*>([^]*?)<\/style>/g)].map(
    ([, style = '']) => style,
  );
  return ['', REPORT_STYLE, ...own].map(
    (style) => `'sha256-${createHash('sha256').update(style).digest('base64')}'`,
  );
};

/** What every answer says of what the page may do. */
const securedFor = (folder: string): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        workerSrc: ["'self'"],
        styleSrc: ["'self'", ...stylesIn(path.join(folder, 'index.html'))],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    // The app is served on plain http on the machine itself.
    strictTransportSecurity: false,
  });

/** The same, for what is answered before Express. */
const headersOf = (secured: RequestHandler): Record<string, string> => {
  const request = new IncomingMessage(new Socket());
  const response = new ServerResponse(request);
  void secured(request as Request, response as Response, () => undefined);
  return Object.fromEntries(
    Object.entries(response.getHeaders()).map(([name, value]) => [name, String(value)]),
  );
};

/**
 * Serves the built app from `folder`. Files whose names hold a hash of their content are kept for a year, the
 * page itself is asked for again every time. The simulated store prices are at /api/stores. Nothing of a user's data comes here: there is nothing to send it to.
 */
export const app = (
  folder: string,
  options: FeedOptions = { today: isoToday, switches: false },
  secured = securedFor(folder),
): Express => {
  const served = express();
  served.disable('x-powered-by');
  served.use(secured);
  served.use(compression());
  served.get('/api/health', (_request, response) => {
    response.setHeader('Cache-Control', 'no-store');
    response.json({ status: 'ok' });
  });
  served.use('/api', feed(options));
  served.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is nothing at this address.' });
  });
  served.use(compressedBeforehand(folder));
  served.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, file) => {
        response.setHeader('Cache-Control', cachingOf(file));
      },
    }),
  );
  // A file that is not there is not found; every other address is a place of the app.
  served.get('/{*place}', (request, response, next) => {
    if (path.extname(request.path) !== '') return next();
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile('index.html', { root: folder });
  });
  served.use((_request, response) => {
    response.status(404).type('text/plain').send('There is no such file.');
  });
  served.use(tellFault);
  return served;
};

/** For how long a connection may take for the head of a request, and for all of it, in ms. */
const LIMITS = { head: 10_000, request: 30_000 };

/** The server of the built app: hashed files from memory, all else by `app`. */
export const serverOf = (folder: string, options?: FeedOptions, limits = LIMITS): Server => {
  const secured = securedFor(folder);
  const answered = hashedFiles(folder, headersOf(secured));
  const others = app(folder, options, secured);
  return createServer(
    {
      headersTimeout: limits.head,
      requestTimeout: limits.request,
      connectionsCheckingInterval: limits.head / 10,
    },
    (request, response) => {
      if (!answered(request, response)) others(request, response);
    },
  );
};
