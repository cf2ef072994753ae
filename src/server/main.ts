import { serve } from '@hono/node-server';
import { createApp } from './app';

const port = Number(process.env.PORT ?? 4173);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`PORT must be a whole number from 1 to 65535, and is "${process.env.PORT}".`);
  process.exit(2);
}
const server = serve({ fetch: createApp('dist/app').fetch, hostname: '127.0.0.1', port }, (info) => {
  console.log(`Fervent Kettle is at http://127.0.0.1:${info.port}/  (Ctrl+C ends it)`);
});
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken. Choose another: PORT=${port + 1} npm start`
      : `The server cannot start: ${error.message}`,
  );
  process.exit(1);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => server.close(() => process.exit(0)));
