import { useCallback, useState } from 'react';

const KEY = 'fervent-kettle-card';

/** Where a preparation's card stands: a closed page goes on where it was. */
export const cardPlace = (preparation: string): number => {
  try {
    const [id, at] = (localStorage.getItem(KEY) ?? '').split(' ');
    return id === preparation && Number(at) > 0 ? Number(at) : 0;
  } catch {
    return 0;
  }
};

/** @param count of cards; one past the last is the end */
export function useCardPlace(
  preparation: string,
  count: number,
): readonly [number, (next: (now: number) => number) => void] {
  const [place, setPlace] = useState(() => Math.min(count, cardPlace(preparation)));
  const go = useCallback(
    (next: (now: number) => number) =>
      setPlace((now) => {
        const at = Math.max(0, Math.min(count, next(now)));
        try {
          localStorage.setItem(KEY, `${preparation} ${at}`);
        } catch {
          // For this visit only.
        }
        return at;
      }),
    [preparation, count],
  );
  return [place, go];
}
