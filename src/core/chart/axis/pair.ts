/**
 * A number as the sum of two float64, about 32 significant digits: one float64 cannot tell two seconds apart at the
 * beginning of the universe. Only differences of two pairs are turned into pixels.
 */
export interface Pair {
  hi: number;
  lo: number;
}

export const ZERO: Pair = { hi: 0, lo: 0 };

/** a + b without loss (D. E. Knuth, "The Art of Computer Programming" 2, 4.2.2). */
export function twoSum(a: number, b: number): Pair {
  const hi = a + b;
  const part = hi - a;
  return { hi, lo: a - (hi - part) + (b - part) };
}

const SPLIT = 134_217_729;

/** a * b without loss (T. J. Dekker, Numerische Mathematik 18, 1971). */
export function twoProduct(a: number, b: number): Pair {
  const hi = a * b;
  const ca = SPLIT * a;
  const cb = SPLIT * b;
  const a1 = ca - (ca - a);
  const b1 = cb - (cb - b);
  const [a2, b2] = [a - a1, b - b1];
  return { hi, lo: a2 * b2 - (hi - a1 * b1 - a2 * b1 - a1 * b2) };
}

export function plus(a: Pair, b: number): Pair {
  const s = twoSum(a.hi, b);
  return twoSum(s.hi, s.lo + a.lo);
}

export function sum(a: Pair, b: Pair): Pair {
  const s = twoSum(a.hi, b.hi);
  return twoSum(s.hi, s.lo + a.lo + b.lo);
}

/** a - b as one number: exact where the two are close. */
export function minus(a: Pair, b: Pair): number {
  return a.hi - b.hi + (a.lo - b.lo);
}

/** a / b, with b one number. */
export function over(a: Pair, b: number): Pair {
  const q = a.hi / b;
  const p = twoProduct(q, b);
  return twoSum(q, (a.hi - p.hi - p.lo + a.lo) / b);
}
