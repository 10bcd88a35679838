/** What lies left and right on one side of a sheet: pages from 0; null for none. */
export type Side = readonly [left: number | null, right: number | null];

/**
 * The order in which pages lie on sheets that are printed on both sides, laid into each other and folded in the middle: front and back of
 * each sheet, the outermost first. What is missing to whole sheets stays empty at the end.
 */
export function foldOrder(pages: number): Side[] {
  const all = Math.ceil(pages / 4) * 4;
  const page = (n: number) => (n < pages ? n : null);
  const sides: Side[] = [];
  for (let sheet = 0; sheet < all / 4; sheet++) {
    sides.push([page(all - 1 - 2 * sheet), page(2 * sheet)]);
    sides.push([page(2 * sheet + 1), page(all - 2 - 2 * sheet)]);
  }
  return sides;
}
