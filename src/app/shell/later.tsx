import { type ComponentType, lazy, type ReactElement } from 'react';

/** A page that is loaded when it is gone to. What did not come needs a reload: browsers remember that it failed. */
export function later(load: () => Promise<ComponentType>): ReactElement {
  const Page = lazy(async () => ({ default: await load() }));
  return <Page />;
}
