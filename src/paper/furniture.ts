import type { Frozen } from "@/core/formats/frozen";
import type { KeyEntry } from "@/core/looks/key";
import { type ChartStyle, paintedColour } from "@/core/looks/style";
import { patternOn } from "@/core/chart/style/patterns";
import { OVERLAP, type PaperWishes, PT_PER_MM, type SheetPart } from "@/core/paper/sheets";
import { mannerOf } from "@/core/timeline/read-options";
import { periodText } from "@/core/timeline/period";
import { WORDS } from "@/core/words/paper";
import { type Doc, paintScene, writeText } from "./paint-pdf";
import { type Cut, widthOf } from "./type";

type Tag = (kind: string, write: () => void) => void;

const INK = "#16323A";
const QUIET = "#4A6572";
const LINE = "#9FB0B2";
/** So many lines of credits stand under a chart; more are on a page of their own. */
const MOST_CREDIT_LINES = 3;

/** What stands on a sheet beside the drawing: title, authors, period, key, credits, the number and the map of the sheets. */
export class Furniture {
  /** Whether the credits are too many to stand under the chart. */
  readonly hasCreditsLeft: boolean;
  readonly u: number;
  private readonly frozen: Frozen;
  private readonly key: readonly KeyEntry[];
  private readonly style: ChartStyle;
  private readonly sheet: { w: number; h: number };
  private readonly margin: number;
  private readonly wishes: PaperWishes;
  private readonly credits: string[];
  private readonly keyRows: { x: number; row: number; entry: KeyEntry }[];

  constructor(
    frozen: Frozen,
    key: readonly KeyEntry[],
    style: ChartStyle,
    sheet: { w: number; h: number },
    margin: number,
    wishes: PaperWishes,
  ) {
    this.frozen = frozen;
    this.key = key;
    this.style = style;
    this.sheet = sheet;
    this.margin = margin;
    this.wishes = wishes;
    // As large as the sheet asks for: a poster is read from further away.
    this.u = Math.min(3.2, Math.max(0.72, Math.min(sheet.w, sheet.h) / (210 * PT_PER_MM)));
    this.keyRows = this.layKey();
    const lines = this.creditLines();
    this.hasCreditsLeft = lines.length > MOST_CREDIT_LINES;
    this.credits = this.hasCreditsLeft ? [] : lines;
  }

  private get inner(): number {
    return this.sheet.w - 2 * this.margin - 2 * this.frame;
  }
  /** What a printed border takes of each side. */
  private get frame(): number {
    return this.wishes.border ? 4 * this.u : 0;
  }
  private get cut(): { heading: Cut; bold: Cut; plain: Cut } {
    const { heading, family } = this.style;
    return {
      heading: { family: heading, weight: 600 },
      bold: { family, weight: 600 },
      plain: { family, weight: 400 },
    };
  }

  private layKey(): { x: number; row: number; entry: KeyEntry }[] {
    const size = 8 * this.u;
    let [x, row] = [0, 0];
    return this.key.slice(0, 40).map((entry) => {
      const w = size * 2.3 + widthOf(entry.name, this.cut.plain, size) + size * 1.6;
      if (x > 0 && x + w > this.inner) {
        x = 0;
        row++;
      }
      const at = { x, row, entry };
      x += w;
      return at;
    });
  }

  /** Whose the pictures are, as one text in lines. */
  private creditLines(): string[] {
    const size = 6 * this.u;
    const titles = new Map(this.frozen.events.map((e) => [e.id, e.title]));
    const said = new Map<string, string[]>();
    for (const i of this.frozen.items) {
      if (i.list === "source" || i.list === "link" || i.kind === "page") continue;
      const credit = WORDS.credit(i.credit, i.licence);
      if (credit) said.set(credit, [...(said.get(credit) ?? []), titles.get(i.of) ?? ""]);
    }
    if (said.size === 0) return [];
    const words = `${WORDS.pictures}: ${[...said].map(([credit, of]) => (said.size === 1 ? credit : `${of.filter(Boolean).join(", ") || this.frozen.title}: ${credit}`)).join("; ")}.`;
    const lines: string[] = [];
    let line = "";
    for (const word of words.split(" ")) {
      const longer = line ? `${line} ${word}` : word;
      if (line && widthOf(longer, this.cut.plain, size) > this.inner * 0.82) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    return [...lines, line];
  }

  private get headHeight(): number {
    const rows = this.keyRows.length > 0 ? this.keyRows.at(-1)!.row + 1 : 0;
    return (26 + rows * 14 + 4) * this.u;
  }
  private get footHeight(): number {
    const map = this.isOne ? 0 : this.wishes.sheets.down * 4.4 * this.u + 4 * this.u;
    return Math.max(12 * this.u, (8 + this.credits.length * 8) * this.u, map);
  }
  private get isOne(): boolean {
    return this.wishes.sheets.across * this.wishes.sheets.down === 1;
  }

  /** What is left for the drawing, pt. */
  area(): { w: number; h: number } {
    return {
      w: this.inner,
      h: Math.max(60, this.sheet.h - 2 * this.margin - 2 * this.frame - this.headHeight - this.footHeight),
    };
  }

  /** Writes a sheet but for its drawing; gives where that stands. */
  chartSheet(
    doc: Doc,
    tag: Tag,
    missing: Set<string>,
    { heading, part, of, day }: { heading: string; part: SheetPart; of: number; day: string },
  ): { x: number; y: number } {
    const { u, margin, frame } = this;
    const { heading: big, plain } = this.cut;
    const left = margin + frame;
    const top = margin + frame;
    const right = this.sheet.w - left;
    if (!/^#fff(fff)?$/i.test(this.style.paper))
      artifact(doc, () => doc.rect(0, 0, this.sheet.w, this.sheet.h).fill(this.style.paper));
    if (this.wishes.border)
      artifact(doc, () =>
        doc
          .lineWidth(0.8 * u)
          .rect(margin, margin, this.sheet.w - 2 * margin, this.sheet.h - 2 * margin)
          .stroke(this.style.ink),
      );
    const title = heading || this.frozen.title || WORDS.untitled;
    const period = periodText(this.frozen.period, this.frozen.events, mannerOf(this.frozen));
    const facts = [this.frozen.byline ? WORDS.by(this.frozen.byline) : "", period].filter(Boolean).join(" · ");
    const factsWidth = widthOf(facts, plain, 9 * u);
    let size = 18 * u;
    while (size > 8 * u && widthOf(title, big, size) > right - left - factsWidth - 12 * u) size -= u;
    tag("H1", () => writeText(doc, title, left, top + 15 * u, big, size, this.style.ink, { missing }));
    tag("P", () =>
      writeText(doc, facts, right, top + 15 * u, plain, 9 * u, this.style.quiet, { align: "end", missing }),
    );
    for (const { x, row, entry } of this.keyRows)
      this.keyEntry(doc, tag, missing, left + x, top + (26 + row * 14) * u, entry);
    const foot = this.sheet.h - margin - frame;
    for (const [i, line] of this.credits.entries())
      tag("P", () =>
        writeText(doc, line, left, foot - (this.credits.length - 1 - i) * 8 * u - 1, plain, 6 * u, this.style.quiet, {
          missing,
        }),
      );
    if (this.isOne) {
      tag("P", () =>
        writeText(doc, WORDS.madeWith(day), right, foot - 1, plain, 6 * u, this.style.quiet, { align: "end" }),
      );
    } else if (of > 1) {
      const n = part.row * this.wishes.sheets.across + part.column;
      const mapWidth = this.map(doc, right, foot, part);
      tag("P", () =>
        writeText(doc, WORDS.sheet(n + 1, of), right - mapWidth - 4 * u, foot - 1, plain, 6 * u, this.style.quiet, {
          align: "end",
        }),
      );
    }
    const at = { x: left, y: top + this.headHeight };
    if (of > 1) this.cropMarks(doc, at, part);
    return at;
  }

  /** A small roof in a category's colour and pattern, and its name. */
  private keyEntry(doc: Doc, tag: Tag, missing: Set<string>, x: number, y: number, entry: KeyEntry): void {
    const size = 8 * this.u;
    const [w, h] = [size * 1.9, size * 0.95];
    artifact(doc, () => {
      doc.save();
      doc.translate(x, y);
      const fill = paintedColour(this.style, entry.colour);
      const points = [0, h, h * 0.7, 0, w - h * 0.7, 0, w, h];
      const shape = { kind: "area" as const, points, fill, ...patternOn(this.style, entry.pattern) };
      const backdrop = { paper: "#ffffff", texture: null, picture: null };
      paintScene(
        doc,
        { width: 0, height: 0, shapes: [shape], targets: [], backdrop, ridgeY: 0 },
        { picture: () => null, missing },
      );
      doc.restore();
    });
    tag("P", () =>
      writeText(doc, entry.name, x + size * 2.3, y + h, this.cut.plain, size, this.style.ink, { missing }),
    );
  }

  /** Where this sheet lies among the others. */
  private map(doc: Doc, right: number, foot: number, part: SheetPart): number {
    const [w, h] = [6 * this.u, 4.4 * this.u];
    const { across, down } = this.wishes.sheets;
    artifact(doc, () => {
      for (let r = 0; r < down; r++)
        for (let c = 0; c < across; c++) {
          doc.rect(right - (across - c) * w, foot - (down - r) * h, w, h).lineWidth(0.4);
          if (r === part.row && c === part.column) doc.fillAndStroke(INK, LINE);
          else doc.stroke(LINE);
        }
    });
    return across * w;
  }

  /** Where sheets are cut so that they meet: in the middle of what two of them show. */
  private cropMarks(doc: Doc, at: { x: number; y: number }, part: SheetPart): void {
    const half = (OVERLAP * PT_PER_MM) / 2;
    const { across, down } = this.wishes.sheets;
    const long = 5 * PT_PER_MM;
    const xs = [part.column > 0 ? at.x + half : null, part.column < across - 1 ? at.x + part.w - half : null];
    const ys = [part.row > 0 ? at.y + half : null, part.row < down - 1 ? at.y + part.h - half : null];
    artifact(doc, () => {
      doc.lineWidth(0.4).strokeColor(QUIET);
      for (const x of xs)
        if (x !== null) {
          doc
            .moveTo(x, at.y - long)
            .lineTo(x, at.y)
            .stroke();
          doc
            .moveTo(x, at.y + part.h)
            .lineTo(x, at.y + part.h + long)
            .stroke();
        }
      for (const y of ys)
        if (y !== null) {
          doc
            .moveTo(at.x - long, y)
            .lineTo(at.x, y)
            .stroke();
          doc
            .moveTo(at.x + part.w, y)
            .lineTo(at.x + part.w + long, y)
            .stroke();
        }
    });
  }

  nothing(doc: Doc): void {
    writeText(doc, this.frozen.title || WORDS.untitled, this.margin, this.margin + 20, this.cut.heading, 18, INK);
    writeText(doc, WORDS.nothing, this.margin, this.margin + 44, this.cut.plain, 11, QUIET);
  }
}

/** What is no content: whoever has the document read aloud does not hear of it. */
export function artifact(doc: Doc, paint: () => void): void {
  doc.markContent("Artifact", { type: "Layout" } as never);
  paint();
  doc.endMarkedContent();
}
