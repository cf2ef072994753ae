/** Reads a number as people type it: decimal comma or point, a true minus, spaces between thousands. */
export function parseNumber(text: string): number | null {
  const plain = text
    .trim()
    .replace(/−/g, '-')
    .replace(/[\s'’](?=\d{3})/g, '')
    .replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain)) return null;
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
}
