import { type ComponentType, lazy, type ReactElement } from 'react';

/** Which time pages that did not come are asked for. */
let attempt = 0;

/** Has pages that did not come asked for again when they are shown next. */
export const askAgain = (): void => {
  attempt += 1;
};

/** A page that is loaded when it is gone to. */
export function later(load: () => Promise<ComponentType>): ReactElement {
  let failed: number | null = null;
  const ask = () =>
    lazy(async () => {
      try {
        return { default: await load() };
      } catch (error) {
        failed = attempt;
        throw error;
      }
    });
  let Page = ask();
  const Later = () => {
    // What failed stays failed until somebody asks, or it would be asked for without end.
    if (failed !== null && failed !== attempt) {
      failed = null;
      Page = ask();
    }
    return <Page />;
  };
  return <Later />;
}
