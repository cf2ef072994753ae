import { type RefObject, useLayoutEffect, useRef } from 'react';

/** The newest value for callbacks that live longer than a render; written once the render has come about. */
export function useLatest<T>(value: T): Readonly<RefObject<T>> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
