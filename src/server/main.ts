import { networkInterfaces } from 'node:os';
import { serve } from '@hono/node-server';
import { say } from '../text/en/say/server';
import { createApp } from './app';
import { ownAddresses } from './ownAddresses';

/** Time that what is being answered has to end after a signal, ms. */
const GRACE = 500;

const port = Number(process.env.PORT ?? 4173);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(say.portMustBe(process.env.PORT ?? ''));
  process.exit(2);
}
// Names and addresses it answers to; it listens at the first.
const hosts = (process.env.HOST ?? '').split(',').map((host) => host.trim());
const named = hosts.filter((host) => host !== '');
const wrong = named.find((host) => !/^[\w.:[\]-]+$/.test(host));
if (wrong) {
  console.error(say.hostMustNamesAddresses(wrong));
  process.exit(2);
}
const hostname = named[0] ?? '127.0.0.1';
const everywhere = hostname === '0.0.0.0' || hostname === '::';
// At 0.0.0.0 it is reached by the older kind of address alone.
const addresses = everywhere
  ? ownAddresses(networkInterfaces()).filter((address) => hostname === '::' || !address.startsWith('['))
  : [];
const { fetch } = createApp('dist/app', [...named, ...addresses]);
const server = serve({ fetch, hostname, port }, (info) => {
  console.log(say.ferventKettleHttpCtrl(everywhere ? '127.0.0.1' : hostname, info.port));
  for (const address of addresses) console.log(say.onTheNetwork(address, info.port));
});
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? say.portTakenChooseAnother(port, port + 1)
      : `The server cannot start: ${error.message}`,
  );
  process.exit(1);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    // An open stream would keep it alive for as long as it lasts.
    if ('closeAllConnections' in server) server.closeAllConnections();
    setTimeout(() => process.exit(0), GRACE).unref();
  });
}
