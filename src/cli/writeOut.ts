import { writeFileSync } from 'node:fs';
import { CliError } from './error';

/**
 * Writes a text to a file, or prints it where the target is `-`.
 * @throws CliError for a file that cannot be written
 */
export function writeOut(target: string, text: string, print: (text: string) => void): void {
  if (target === '-') {
    print(text);
    return;
  }
  try {
    writeFileSync(target, text);
  } catch (error) {
    throw new CliError(`${target} cannot be written: ${(error as Error).message}`);
  }
}
