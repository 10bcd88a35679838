/** How marks are spread: so many from `from` to below `to`; the last holds the total itself. */
export interface Bin {
  from: number;
  to: number;
  count: number;
}

export interface Spread {
  bins: Bin[];
  count: number;
  /** To one decimal; null where there is none. */
  mean: number | null;
  median: number | null;
  least: number | null;
  most: number | null;
}

/** About so many bars tell the most. */
const BINS = 10;

/** How the marks of a class are spread, in bars of equal, round width. */
export function spreadOf(points: readonly number[], total: number): Spread {
  const width = [1, 2, 5, 10, 20, 25, 50, 100].find((w) => total / w <= BINS) ?? 100;
  const bins = Array.from({ length: Math.max(1, Math.ceil(total / width)) }, (_, i) => ({
    from: i * width,
    to: Math.min(total, (i + 1) * width),
    count: 0,
  }));
  for (const p of points) bins[Math.min(bins.length - 1, Math.max(0, Math.floor(p / width)))]!.count++;
  const sorted = [...points].sort((a, b) => a - b);
  const n = sorted.length;
  const middle = n === 0 ? null : (sorted[Math.floor((n - 1) / 2)]! + sorted[Math.ceil((n - 1) / 2)]!) / 2;
  return {
    bins,
    count: n,
    mean: n === 0 ? null : Math.round((sorted.reduce((s, p) => s + p, 0) / n) * 10) / 10,
    median: middle,
    least: sorted[0] ?? null,
    most: sorted.at(-1) ?? null,
  };
}
