/** Points that stand so near to each other, px, that they share a mark. */
export interface Gathered {
  x: number;
  y: number;
  /** The points of it, by their places in the list. */
  of: number[];
}

/**
 * Gathers points that lie within `near` px of each other into marks: each point belongs to the first mark, in the order of the list,
 * that is near enough. A mark stands in the middle of its points. Every point is in exactly one.
 */
export function gatherPoints(points: readonly { x: number; y: number }[], near: number): Gathered[] {
  const found: (Gathered & { at: { x: number; y: number } })[] = [];
  // A grid of squares as wide as `near`: whoever is near enough lies in one of the nine around.
  const cells = new Map<number, number[]>();
  const cell = (x: number, y: number) => Math.floor(x / near) * 1_000_003 + Math.floor(y / near);
  points.forEach((p, i) => {
    let mark = -1;
    for (let dx = -1; dx <= 1; dx++)
      for (let dy = -1; dy <= 1; dy++)
        for (const k of cells.get(cell(p.x + dx * near, p.y + dy * near)) ?? []) {
          const m = found[k]!;
          if ((mark < 0 || k < mark) && Math.hypot(m.at.x - p.x, m.at.y - p.y) <= near) mark = k;
        }
    if (mark >= 0) found[mark]!.of.push(i);
    else {
      const key = cell(p.x, p.y);
      cells.set(key, [...(cells.get(key) ?? []), found.length]);
      found.push({ x: p.x, y: p.y, of: [i], at: { x: p.x, y: p.y } });
    }
  });
  return found.map(({ of }) => ({
    x: of.reduce((sum, i) => sum + points[i]!.x, 0) / of.length,
    y: of.reduce((sum, i) => sum + points[i]!.y, 0) / of.length,
    of,
  }));
}
