/** A list of more rows is cut into lists of so many: a browser lays out only those that are near what is seen. */
const CHUNK = 40;

export function chunksOf<T>(list: readonly T[]): T[][] {
  const found: T[][] = [];
  for (let at = 0; at < list.length; at += CHUNK) found.push(list.slice(at, at + CHUNK));
  return found;
}

/** Whether a list is a whole one of those, whose height is known well enough before it is laid out. */
export const isMany = (list: readonly unknown[]): boolean => list.length === CHUNK;
