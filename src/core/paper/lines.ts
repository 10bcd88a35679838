/** A kind of line on a page of flowing text. */
export type LineKind = "title" | "heading" | "small" | "text" | "quiet" | "item";

/** A line of such a page; a line break in it begins another of its kind. */
export interface Line {
  kind: LineKind;
  text: string;
  /** In front of an item. */
  bullet?: string;
}
