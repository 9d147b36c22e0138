import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';

const YEAR = 365 * 24 * 3600 * 1000;

/**
 * Serves the built app from `folder`. Files whose names hold a hash of their content are kept for a year, the
 * page itself is asked for again every time. Nothing of a user's data comes here: there is nothing to send it to.
 */
export const app = (folder: string): Express => {
  const served = express();
  served.disable('x-powered-by');
  served.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
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
    }),
  );
  served.use(compression());
  served.get('/api/health', (_request, response) => {
    response.setHeader('Cache-Control', 'no-store');
    response.json({ status: 'ok' });
  });
  served.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is nothing at this address.' });
  });
  served.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, file) => {
        const isHashed = /[.-][0-9a-f]{32}\./.test(path.basename(file));
        response.setHeader(
          'Cache-Control',
          isHashed ? `public, max-age=${YEAR / 1000}, immutable` : 'no-cache',
        );
      },
    }),
  );
  // A file that is not there is not found; every other address is a place of the app.
  served.get('/{*place}', (request, response, next) => {
    if (path.extname(request.path) !== '') return next();
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(path.join(folder, 'index.html'));
  });
  served.use((_request, response) => {
    response.status(404).type('text/plain').send('There is no such file.');
  });
  return served;
};
