/** Minutes, seconds and hundredths. */
export function lapText(seconds: number): string {
  const hundredths = Math.round(100 * seconds);
  const minutes = Math.floor(hundredths / 6000);
  return `${minutes}:${((hundredths - 6000 * minutes) / 100).toFixed(2).padStart(5, '0')}`;
}
