/**
 * Where one label stands at every zoom. Along the ridge all is px from its moment, which does not change with the zoom: where
 * its line runs, and where the label begins and ends.
 */
export interface Place {
  /** Across the ridge, counted from it; -1: none, or placed by hand. */
  row: number;
  /** 1: behind its line, -1: before it. */
  side: number;
  shift: number;
  from: number;
  to: number;
  /** The scale (px per u) from which on it is shown; Infinity: never. */
  z: number;
}

/** The places of all labels of a ridge, by rank. */
export interface Places {
  row: Int16Array;
  side: Int8Array;
  shift: Float32Array;
  from: Float32Array;
  to: Float32Array;
  z: Float64Array;
  /** The extent of the label across the ridge, px. */
  h: Float32Array;
}

/** So many labels without a place. */
export function noPlaces(count: number): Places {
  return {
    row: new Int16Array(count).fill(-1),
    side: new Int8Array(count).fill(1),
    shift: new Float32Array(count),
    from: new Float32Array(count),
    to: new Float32Array(count),
    z: new Float64Array(count).fill(Number.POSITIVE_INFINITY),
    h: new Float32Array(count),
  };
}

/** The place of one label; of the object handed in, where there is one. */
export function placeOf(p: Places, rank: number, into: Partial<Place> = {}): Place {
  into.row = p.row[rank]!;
  into.side = p.side[rank]!;
  into.shift = p.shift[rank]!;
  into.from = p.from[rank]!;
  into.to = p.to[rank]!;
  into.z = p.z[rank]!;
  return into as Place;
}

export function setPlace(p: Places, rank: number, place: Place): void {
  p.row[rank] = place.row;
  p.side[rank] = place.side;
  p.shift[rank] = place.shift;
  p.from[rank] = place.from;
  p.to[rank] = place.to;
  p.z[rank] = place.z;
}
