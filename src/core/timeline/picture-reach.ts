/** What a picture's pixels are enough for. */
export interface PictureReach {
  /** Across the read view without being stretched. */
  screen: boolean;
  /** So wide it may stand on paper and be sharp, cm. */
  paperCm: number;
  /** Across a quarter of an A1 poster. */
  poster: boolean;
}

/** The read view's column, CSS px. */
const READ_PX = 720;
/** Dots an inch that look sharp in the hand, and from some steps away. */
const PAPER_DPI = 200;
const POSTER_DPI = 110;
const POSTER_CM = 21;
const CM_AN_INCH = 2.54;

/** What a picture of so many px is enough for, by its longer edge. */
export function pictureReach(width: number, height: number): PictureReach {
  const across = Math.max(width, height);
  return {
    screen: across >= READ_PX,
    paperCm: Math.floor((across / PAPER_DPI) * CM_AN_INCH),
    poster: across >= (POSTER_CM / CM_AN_INCH) * POSTER_DPI,
  };
}
