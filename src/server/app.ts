import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { secureHeaders } from 'hono/secure-headers';
import { say } from '../text/en/say/server';
import { POLICY } from './policy';
import { standIns } from './standIns/routes';

/** Names of this machine itself. */
const OWN_HOSTS = ['127.0.0.1', 'localhost', '[::1]'];

/**
 * The server: hands out the built application, and stands in for a logger and a weather service.
 * @param root folder of the build, relative to the working directory
 * @param hosts names it answers to, beside those of this machine itself
 */
export function createApp(root: string, hosts: readonly string[] = []): Hono {
  const app = new Hono();
  const known = new Set([...OWN_HOSTS, ...hosts.map((host) => host.toLowerCase())]);
  // A page elsewhere could have its own name point here, and read what is served.
  app.use(async (c, next) => {
    const { hostname } = new URL(c.req.url);
    if (known.has(hostname.toLowerCase())) return next();
    return c.text(say.serverDoesNotAnswer, 421);
  });
  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        ...POLICY,
        frameAncestors: ["'none'"],
      },
      crossOriginOpenerPolicy: 'same-origin',
      referrerPolicy: 'no-referrer',
      // A phone may say where it is and how it is slowed, when a test asks for it; nothing looks or listens.
      permissionsPolicy: {
        camera: [],
        microphone: [],
        geolocation: ['self'],
        accelerometer: ['self'],
        gyroscope: ['self'],
        payment: [],
        usb: [],
        serial: [],
        bluetooth: [],
        displayCapture: [],
      },
      // Served over http on this machine only.
      strictTransportSecurity: false,
    }),
  );
  app.use(async (c, next) => {
    // A bench is sent its programme; nothing is kept of it.
    const posts = c.req.method === 'POST' && c.req.path === '/stand-in/bench';
    if (!posts && c.req.method !== 'GET' && c.req.method !== 'HEAD') {
      return c.text(say.onlyGetHeadAnswered, 405, { Allow: 'GET, HEAD' });
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
  app.get('/assets/*', (c) => c.text(say.thereNoSuchFile, 404));
  // The page names the files of its build: it is asked for anew each time.
  app.use(async (c, next) => {
    await next();
    if (!c.res.headers.has('Cache-Control')) c.header('Cache-Control', 'no-cache');
  });
  app.use('*', serveStatic({ root }));
  app.get('*', async (c, next) => {
    if (/\.[a-z0-9]+$/i.test(new URL(c.req.url).pathname)) return c.text('Not found.', 404);
    return serveStatic({ root, path: 'index.html' })(c, next);
  });
  return app;
}
