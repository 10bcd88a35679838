import { useCallback, useRef } from "react";

/**
 * For what is asked for again and again: gives, when something is asked for, a function that says whether nothing was asked for since.
 * An answer that comes after a later one is old, and is not shown.
 */
export function useLatest(): () => () => boolean {
  const asked = useRef(0);
  return useCallback(() => {
    asked.current += 1;
    const mine = asked.current;
    return () => mine === asked.current;
  }, []);
}
