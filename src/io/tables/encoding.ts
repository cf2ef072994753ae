import { say } from '../../text/en/say/io';
/** How a file's bytes are letters. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** What the first bytes of a file say: its encoding, or where they are no text. */
export type Sniffed =
  | { readonly text: true; readonly encoding: Encoding; readonly skip: number }
  | { readonly text: false; readonly at: number; readonly what: string };

/** Bytes that are looked at; a file that is text there is text. */
const LOOKED_AT = 65_536;

/** Beginnings of files that are commonly mistaken for text. */
const MAGIC: readonly (readonly [string, readonly number[]])[] = [
  ['a packed archive (zip); unpack it first', [0x50, 0x4b, 0x03, 0x04]],
  ['a packed file (gzip); unpack it first', [0x1f, 0x8b]],
  ['a picture (PNG)', [0x89, 0x50, 0x4e, 0x47]],
  ['a picture (JPEG)', [0xff, 0xd8, 0xff]],
  ['a document (PDF)', [0x25, 0x50, 0x44, 0x46]],
];

/** Tells text from binary data, and its encoding, from a file's first bytes. */
export function sniffEncoding(bytes: Uint8Array): Sniffed {
  for (const [what, start] of MAGIC) {
    if (start.every((byte, i) => bytes[i] === byte)) return { text: false, at: 0, what };
  }
  const [a, b, c] = bytes;
  if (a === 0xef && b === 0xbb && c === 0xbf) return { text: true, encoding: 'utf-8', skip: 3 };
  if (a === 0xff && b === 0xfe) return { text: true, encoding: 'utf-16le', skip: 2 };
  if (a === 0xfe && b === 0xff) return { text: true, encoding: 'utf-16be', skip: 2 };
  const looked = bytes.subarray(0, LOOKED_AT);
  const zeros = [0, 0];
  for (let i = 0; i < looked.length; i++) if (looked[i] === 0) zeros[i % 2] += 1;
  const half = looked.length / 2;
  if (looked.length >= 8 && zeros[1] > 0.7 * half && zeros[0] < 0.1 * half) {
    return { text: true, encoding: 'utf-16le', skip: 0 };
  }
  if (looked.length >= 8 && zeros[0] > 0.7 * half && zeros[1] < 0.1 * half) {
    return { text: true, encoding: 'utf-16be', skip: 0 };
  }
  const control = looked.findIndex(
    (byte) => byte < 9 || (byte > 13 && byte < 32 && byte !== 27) || byte === 127,
  );
  if (control >= 0) {
    return { text: false, at: control, what: `binary data (byte ${looked[control]} at position ${control})` };
  }
  try {
    // What is cut off at the end of what was looked at is no error of the file.
    new TextDecoder('utf-8', { fatal: true }).decode(looked, { stream: true });
    return { text: true, encoding: 'utf-8', skip: 0 };
  } catch {
    return { text: true, encoding: 'windows-1252', skip: 0 };
  }
}

/** A whole file as text, or why it is none. */
export function decodeText(
  bytes: Uint8Array,
): { readonly text: string; readonly encoding: Encoding } | { readonly problem: string } {
  if (bytes.length === 0) return { problem: say.fileEmpty };
  const sniffed = sniffEncoding(bytes);
  if (!sniffed.text) return { problem: say.fileNotText(sniffed.what) };
  const text = new TextDecoder(sniffed.encoding).decode(bytes.subarray(sniffed.skip));
  if (text.trim() === '') return { problem: say.fileHoldsNothingBut };
  return { text, encoding: sniffed.encoding };
}
