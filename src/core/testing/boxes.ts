/** A rectangle of a drawing, in pixels from its top left corner. */
export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** Whether two rectangles lie on each other by more than half a pixel. */
export const meet = (a: Box, b: Box) =>
  a.x < b.x + b.w - 0.5 && b.x < a.x + a.w - 0.5 && a.y < b.y + b.h - 0.5 && b.y < a.y + a.h - 0.5;
