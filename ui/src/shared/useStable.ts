import { useCallback, useLayoutEffect, useRef } from "react";

/** A function that stays the same over renders and does what the newest one does, for memoised rows. */
export function useStable<A extends unknown[]>(newest: (...args: A) => void): (...args: A) => void {
  const ref = useRef(newest);
  useLayoutEffect(() => {
    ref.current = newest;
  });
  return useCallback((...args: A) => ref.current(...args), []);
}
