import "server-only";

const MOST_PAGES = 1_000;

/** Which page of a list an address asks for, from 0. */
export const pageOf = (at: URL): number =>
  Math.min(MOST_PAGES, Math.max(0, Math.floor(Number(at.searchParams.get("page")) || 0)));
