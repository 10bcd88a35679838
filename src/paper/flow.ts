// Sets text into columns and pages: lines are broken by the widths of the type, what belongs together stays together.
import { type Cut, advanceOf, stretchesOf, widthOf } from "./type";
import { type Doc, placePicture, type Picture, writeText } from "./paint-pdf";

/** A stretch of a paragraph in one cut and colour. */
export interface Run {
  text: string;
  cut: Cut;
  fill: string;
  link?: string;
}

export interface Style {
  size: number;
  /** Line height as a share of the size. */
  lead?: number;
  before?: number;
  after?: number;
  indent?: number;
  align?: "start" | "middle" | "end";
  /** Stands before the first line, in the indent. */
  bullet?: string;
  /** So much of what follows has room in the same column, pt. */
  withNext?: number;
}

interface Word {
  run: Run;
  text: string;
  width: number;
  /** A space stands before it. */
  spaced: boolean;
}

export interface Columns {
  /** Of one page: the left edge of each column, its width, top and foot, pt. */
  x: number[];
  width: number;
  top: number;
  foot: number;
}

/** A cursor that goes through columns and pages, and asks for a new page when the last column is full. */
export class Flow {
  y: number;
  private column = 0;
  readonly doc: Doc;
  readonly columns: Columns;
  readonly missing: Set<string>;
  private readonly newPage: () => void;
  /** A structure element is made for each paragraph, for those who have it read aloud. */
  private readonly tag: (kind: string, write: () => void) => void;

  constructor(
    doc: Doc,
    columns: Columns,
    missing: Set<string>,
    newPage: () => void,
    tag: (kind: string, write: () => void) => void,
  ) {
    this.doc = doc;
    this.columns = columns;
    this.missing = missing;
    this.newPage = newPage;
    this.tag = tag;
    this.y = columns.top;
  }

  get x(): number {
    return this.columns.x[this.column]!;
  }
  get width(): number {
    return this.columns.width;
  }
  private get isTop(): boolean {
    return this.y <= this.columns.top + 0.01;
  }

  next(): void {
    this.column++;
    if (this.column >= this.columns.x.length) {
      this.column = 0;
      this.newPage();
    }
    this.y = this.columns.top;
  }

  /** Goes to the next column where so much does not fit any more. */
  need(height: number): void {
    if (!this.isTop && this.y + height > this.columns.foot) this.next();
  }

  space(height: number): void {
    if (!this.isTop) this.y += height;
  }

  paragraph(runs: readonly Run[], style: Style, kind = "P"): void {
    const { size, lead = 1.36, before = 0, after = 0, indent = 0, align = "start" } = style;
    const height = size * lead;
    const lines = linesOf(runs, size, this.width - indent);
    if (lines.length === 0) return;
    this.space(before);
    // Two lines of a paragraph at least stand together; a heading with two of what follows.
    this.need(height * Math.min(lines.length, 2) + (style.withNext ?? 0));
    let page: (() => void)[] = [];
    const flush = () => {
      const write = page;
      page = [];
      if (write.length > 0)
        this.tag(kind, () => {
          for (const w of write) w();
        });
    };
    for (const [i, line] of lines.entries()) {
      if (this.y + height > this.columns.foot + 0.01) {
        flush();
        this.next();
      }
      const width = line.reduce(
        (w, word, k) => w + word.width + (k > 0 && word.spaced ? spaceOf(word.run, size) : 0),
        0,
      );
      const left = this.x + indent;
      const room = this.width - indent;
      let at = align === "start" ? left : align === "middle" ? left + (room - width) / 2 : left + room - width;
      const foot = this.y + height * 0.5 + size * 0.34;
      const [bulletX, first] = [this.x + indent - size * 0.9, runs[0]!];
      if (i === 0 && style.bullet)
        page.push(() =>
          writeText(this.doc, style.bullet!, bulletX, foot, first.cut, size, first.fill, {
            align: "end",
            missing: this.missing,
          }),
        );
      for (const [k, group] of grouped(line).entries()) {
        const spaced = k > 0 && group.spaced;
        if (spaced) at += spaceOf(group.run, size);
        const from = at;
        page.push(() =>
          writeText(this.doc, group.text, from, foot, group.run.cut, size, group.run.fill, {
            missing: this.missing,
            ...(group.run.link ? { link: group.run.link } : {}),
          }),
        );
        at += group.width;
      }
      this.y += height;
    }
    flush();
    this.y += after;
  }

  /** A picture as wide as the column, or as high as it may be. */
  picture(image: Picture, proportion: number, mostHeight: number, alt: string): { w: number; h: number } {
    const h = Math.min(mostHeight, this.width / proportion, this.columns.foot - this.columns.top);
    const w = h * proportion;
    this.need(h);
    const at = { x: this.x, y: this.y, w, h };
    this.tag(`Figure ${alt}`, () => placePicture(this.doc, at, { image, proportion }));
    this.y += h;
    return { w, h };
  }
}

const spaceOf = (run: Run, size: number) => widthOf(" ", run.cut, size);

/** Words of one line that stand in one run, written in one go, so that they are found and copied as words with spaces. */
function grouped(line: readonly Word[]): { run: Run; text: string; width: number; spaced: boolean }[] {
  const groups: { run: Run; text: string; width: number; spaced: boolean }[] = [];
  for (const word of line) {
    const last = groups.at(-1);
    if (last?.run === word.run) {
      last.text += (word.spaced ? " " : "") + word.text;
      last.width = widthOfRun(last.run, last.text);
    } else groups.push({ run: word.run, text: word.text, width: word.width, spaced: word.spaced });
  }
  return groups;
}

let sizeNow = 10;
const widthOfRun = (run: Run, text: string) =>
  stretchesOf(text, run.cut).reduce((w, s) => w + advanceOf(s, sizeNow), 0);

/** Breaks runs into lines of a width. A word wider than the line is broken within. */
export function linesOf(runs: readonly Run[], size: number, width: number): Word[][] {
  sizeNow = size;
  const lines: Word[][] = [];
  let line: Word[] = [];
  let used = 0;
  let gap = false;
  const end = () => {
    lines.push(line);
    line = [];
    used = 0;
    gap = false;
  };
  for (const run of runs)
    for (const part of run.text.split(/(\n| +)/)) {
      if (part === "") continue;
      if (part === "\n") {
        end();
        continue;
      }
      if (/^ +$/.test(part)) {
        gap = true;
        continue;
      }
      let text = part;
      let w = widthOfRun(run, text);
      const space = gap && line.length > 0 ? spaceOf(run, size) : 0;
      if (line.length > 0 && used + space + w > width) {
        // What is joined without a space stays with what it is joined to, unless that is all of the line.
        end();
      }
      while (w > width) {
        let most = 1;
        const letters = [...text];
        while (most < letters.length && widthOfRun(run, letters.slice(0, most + 1).join("")) <= width) most++;
        const head = letters.slice(0, most).join("");
        lines.push([{ run, text: head, width: widthOfRun(run, head), spaced: false }]);
        text = letters.slice(most).join("");
        w = widthOfRun(run, text);
        if (text === "") break;
      }
      if (text === "") continue;
      const spaced = gap && line.length > 0;
      line.push({ run, text, width: w, spaced });
      used += (spaced ? spaceOf(run, size) : 0) + w;
      gap = false;
    }
  if (line.length > 0) end();
  return lines;
}
