import { useSyncExternalStore } from "react";

const never = () => () => {};

/** False in the page as the server sent it, true once it works: what is typed before then would be lost. */
export function useReady(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
