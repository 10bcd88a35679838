import type { Weight } from "../families";

/** By weight: runs of [first code point, advance widths in thousandths of the type size]. */
export type FamilyTable = Record<Weight, [number, string][]>;
