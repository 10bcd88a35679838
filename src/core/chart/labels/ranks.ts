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

/** What is to be placed below a ridge, and how much room there is across it, px. */
export interface BelowRidge extends Ranks {
  data: ChartData;
  ground: Ground;
  depth: number;
  /** One of several ridges in the drawing: its labels are no louder than the others'. */
  oneOfSeveral: boolean;
  /** Where labels may stand along the ridge, px; an event between them has none. */
  stretches: readonly { from: number; to: number }[];
}
