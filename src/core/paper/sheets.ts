/** Sheets upright, millimetres (ISO 216; ANSI/ASME Y14.1 and US trade sizes). */
export const PAPERS = {
  a5: [148, 210],
  a4: [210, 297],
  a3: [297, 420],
  a2: [420, 594],
  a1: [594, 841],
  a0: [841, 1189],
  letter: [215.9, 279.4],
  legal: [215.9, 355.6],
  tabloid: [279.4, 431.8],
} as const satisfies Record<string, readonly [number, number]>;
export type PaperName = keyof typeof PAPERS;
export const PAPER_NAMES = Object.keys(PAPERS) as PaperName[];

/** What a sheet of one's own may measure, mm: a banner of five metres at most. */
export const LEAST_SIDE = 80;
export const MOST_SIDE = 5_000;

export type Paper = PaperName | { w: number; h: number };
export const PT_PER_MM = 72 / 25.4;
export const MM_PER_INCH = 25.4;

/** What is put on paper: the chart, the text with its pictures, or the index as a list. */
export const ON_PAPER = ["chart", "read", "index"] as const;
export type OnPaper = (typeof ON_PAPER)[number];
/** Close-ups in the chart, on sheets of their own after it, or not at all. */
export const CLOSE_UPS_ON_PAPER = ["with", "after", "none"] as const;

export interface PaperWishes {
  what: OnPaper;
  paper: Paper;
  /** Wider than high. A free size lies as it is given. */
  across: boolean;
  /** How many sheets the chart goes over, side by side and one under the other. */
  sheets: { across: number; down: number };
  closeUps: (typeof CLOSE_UPS_ON_PAPER)[number];
  /** What is seen of it, as `viewText` writes it; "" for the whole. */
  view: string;
  border: boolean;
  /** After the chart the full texts, numbered as its labels are. */
  texts: boolean;
  /** Text or index as a booklet: two pages beside each other on each side of a sheet, in the order in which it is folded. */
  folded?: boolean;
  units: "mm" | "inch";
}

export const MOST_SHEETS = { across: 20, down: 10 } as const;

export const USUAL_WISHES: PaperWishes = {
  what: "chart",
  paper: "a4",
  across: true,
  sheets: { across: 1, down: 1 },
  closeUps: "with",
  view: "",
  border: false,
  texts: false,
  units: "mm",
};

/** A sheet as it lies, mm. */
export function sheetOf({ paper, across }: Pick<PaperWishes, "paper" | "across">): { w: number; h: number } {
  if (typeof paper !== "string") return paper;
  const [a, b] = PAPERS[paper];
  return across ? { w: b, h: a } : { w: a, h: b };
}

/** Whether what is wished for is folded: a chart never is. */
export const isFolded = (w: Pick<PaperWishes, "what" | "folded">): boolean => w.what !== "chart" && w.folded === true;

/** A page of a booklet that is folded: half a sheet, which lies across. */
export function halfOf({ paper }: Pick<PaperWishes, "paper">): { w: number; h: number } {
  const { w, h } = sheetOf({ paper, across: true });
  const [long, short] = [Math.max(w, h), Math.min(w, h)];
  return { w: long / 2, h: short };
}

/** A paper as it is typed: a name, or WxH in mm ("900x300", "900x300mm") or inches ("36x12in"); null where it is none. */
export function readPaper(typed: string): Paper | null {
  const text = typed.trim().toLowerCase();
  if ((PAPER_NAMES as string[]).includes(text)) return text as PaperName;
  const m = /^(\d{1,5}(?:\.\d+)?)\s*[x×]\s*(\d{1,5}(?:\.\d+)?)\s*(mm|cm|in)?$/.exec(text);
  if (!m) return null;
  const k = m[3] === "in" ? MM_PER_INCH : m[3] === "cm" ? 10 : 1;
  const [w, h] = [Number(m[1]) * k, Number(m[2]) * k];
  const fits = (side: number) => side >= LEAST_SIDE && side <= MOST_SIDE;
  return fits(w) && fits(h) ? { w, h } : null;
}

/** Space left free around what is printed, mm: no printer reaches the edge; larger sheets look better with more. */
export function marginOf({ w, h }: { w: number; h: number }): number {
  return Math.min(30, Math.max(10, Math.min(w, h) * 0.05));
}

/** By so much sheets beside each other show the same, mm, so that they can be glued. */
export const OVERLAP = 10;

/** One sheet of a chart that goes over several: which it is, and which part of the drawing it shows, pt. */
export interface SheetPart {
  column: number;
  row: number;
  x: number;
  y: number;
  w: number;
  h: number;
}

/**
 * Cuts a drawing area over sheets, each of which shows `inner` of it, pt. Together they show `w` by `h`; neighbours overlap.
 */
export function partsOver(
  sheets: PaperWishes["sheets"],
  inner: { w: number; h: number },
): { w: number; h: number; parts: SheetPart[] } {
  const overlap = OVERLAP * PT_PER_MM;
  const length = (side: number, n: number) => n * side - (n - 1) * overlap;
  const parts: SheetPart[] = [];
  for (let row = 0; row < sheets.down; row++)
    for (let column = 0; column < sheets.across; column++)
      parts.push({ column, row, x: column * (inner.w - overlap), y: row * (inner.h - overlap), ...inner });
  return { w: length(inner.w, sheets.across), h: length(inner.h, sheets.down), parts };
}
