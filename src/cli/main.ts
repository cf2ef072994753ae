import { realpathSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { CliError } from './error';
import { runCli } from './runCli';

if (process.argv[1] && realpathSync(process.argv[1]) === fileURLToPath(import.meta.url)) {
  // A reader that has enough, as head has, ends it; that is no error.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => {
    process.exit(error.code === 'EPIPE' ? 0 : 2);
  });
  try {
    process.exitCode = await runCli(process.argv.slice(2), (text) => process.stdout.write(text));
  } catch (error) {
    if (!(error instanceof CliError)) throw error;
    process.stderr.write(`kettle: ${error.message}\n`);
    process.exitCode = 2;
  }
}
