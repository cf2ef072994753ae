import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { secureHeaders } from 'hono/secure-headers';
import { standIns } from './standIns/routes';

/**
 * The server: hands out the built application, and stands in for a logger and a weather service.
 * @param root folder of the build, relative to the working directory
 */
export function createApp(root: string): Hono {
  const app = new Hono();
  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'"],
        // Charts and primitives place things by style attributes.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
      crossOriginOpenerPolicy: 'same-origin',
      referrerPolicy: 'no-referrer',
      // Served over http on this machine only.
      strictTransportSecurity: false,
    }),
  );
  app.use(async (c, next) => {
    if (c.req.method !== 'GET' && c.req.method !== 'HEAD') {
      return c.text('Only GET and HEAD are answered here.', 405, { Allow: 'GET, HEAD' });
    }
    await next();
  });
  app.route('/stand-in', standIns());
  app.use('/assets/*', async (c, next) => {
    await next();
    // Names carry the hash of their content.
    if (c.res.status === 200) c.header('Cache-Control', 'public, max-age=31536000, immutable');
  });
  app.use('/assets/*', serveStatic({ root }));
  // A missing file must not be answered with the page: a stale page would take it for its script.
  app.get('/assets/*', (c) => c.text('There is no such file in this build. Reload the page.', 404));
  app.use('*', serveStatic({ root }));
  app.get('*', async (c, next) => {
    if (/\.[a-z0-9]+$/i.test(new URL(c.req.url).pathname)) return c.text('Not found.', 404);
    return serveStatic({ root, path: 'index.html' })(c, next);
  });
  return app;
}
