import { type RefObject, useEffect, useRef } from "react";

/** Puts the keyboard where something begins as soon as it is opened: what is marked lies a hundred fields further on otherwise. */
export function useFocusWhenOpened<T extends HTMLElement>(): RefObject<T | null> {
  const at = useRef<T>(null);
  useEffect(() => at.current?.focus({ preventScroll: true }), []);
  return at;
}
