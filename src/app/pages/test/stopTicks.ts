/** A place along an axis of stops: under the pointer the nearest one, at the axis whole ones alone. */
export const stopPlaces = {
  placeText: (n: number) => `stop ${Math.round(n)}`,
  tickText: (n: number) => (Math.abs(n - Math.round(n)) < 1e-6 ? `stop ${Math.round(n)}` : ''),
};
