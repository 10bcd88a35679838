import type { ChartData } from "../data/chart-data";
import type { Ground } from "../axis/view";

/** The events that hang below a ridge (moments and undated ones), by u; a `rank` is an index into this. */
export interface Ranks {
  byApex: Int32Array;
  /** u of their apexes, by rank. */
  hi: Float64Array;
  lo: Float64Array;
  /** Ranks, the most important first. */
  order: Int32Array;
}

/** What hangs below a ridge, and how deep it may hang, px. */
export interface Hanging extends Ranks {
  data: ChartData;
  ground: Ground;
  depth: number;
}

/** How each label hangs, by rank. */
export interface Hangs {
  /** The scale (px per u) from which on it is shown; Infinity: never. */
  z: Float64Array;
  row: Int16Array;
  side: Int8Array;
  /** Where the line runs, and the label from and to, px from the apex. */
  shift: Float32Array;
  from: Float32Array;
  to: Float32Array;
  /** Its extent across the ridge. */
  h: Float32Array;
}
