import type { toast as Toast } from 'sonner';

type Say = typeof Toast;

/** Fetches what shows notices. */
let load = () => {};
let said: (say: Say) => void = () => {};
const ready = new Promise<Say>((resolve) => {
  said = resolve;
});

const later =
  <A extends unknown[]>(act: (say: Say, ...args: A) => void) =>
  (...args: A): void => {
    load();
    void ready.then((say) => act(say, ...args));
  };

/** Short notices. What shows them is fetched after the first drawing; until then they wait. */
export const toast = Object.assign(
  later((say, ...args: Parameters<Say>) => void say(...args)),
  {
    error: later((say, ...args: Parameters<Say['error']>) => void say.error(...args)),
    info: later((say, ...args: Parameters<Say['info']>) => void say.info(...args)),
    success: later((say, ...args: Parameters<Say['success']>) => void say.success(...args)),
  },
);

/** Takes what fetches their place; it tells with `toastsShown` when they can be seen. */
export function onFirstToast(fetchPlace: () => void): void {
  load = fetchPlace;
}
export const toastsShown = (say: Say): void => said(say);
