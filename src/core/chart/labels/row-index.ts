/** A set of small whole numbers that finds the next and the previous member in a few steps (a tree of bitmaps). */
export class RowIndex {
  private levels: Uint32Array[] = [];

  constructor(size: number) {
    let n = Math.max(1, size);
    do {
      n = Math.ceil(n / 32);
      this.levels.push(new Uint32Array(n));
    } while (n > 1);
  }

  add(i: number): void {
    for (const level of this.levels) {
      level[i >>> 5]! |= 1 << (i & 31);
      i >>>= 5;
    }
  }

  /** The smallest member greater than i; -1 when there is none. */
  next(i: number): number {
    for (let k = 0; k < this.levels.length; k++) {
      const word = i >>> 5;
      const bit = i & 31;
      const later = bit === 31 ? 0 : (this.levels[k]![word] ?? 0) & (-2 << bit);
      if (later !== 0) {
        let at = (word << 5) + (31 - Math.clz32(later & -later));
        for (let down = k - 1; down >= 0; down--) {
          const w = this.levels[down]![at]!;
          at = (at << 5) + (31 - Math.clz32(w & -w));
        }
        return at;
      }
      i = word;
    }
    return -1;
  }

  /** The greatest member smaller than i; -1 when there is none. */
  previous(i: number): number {
    for (let k = 0; k < this.levels.length; k++) {
      const word = i >>> 5;
      const earlier = (this.levels[k]![word] ?? 0) & ((1 << (i & 31)) - 1);
      if (earlier !== 0) {
        let at = (word << 5) + (31 - Math.clz32(earlier));
        for (let down = k - 1; down >= 0; down--) at = (at << 5) + (31 - Math.clz32(this.levels[down]![at]!));
        return at;
      }
      i = word;
    }
    return -1;
  }
}
