import PDFDocument from "pdfkit";
import type { Line, LineKind } from "@/core/paper/lines";
import { PAPERS, PT_PER_MM } from "@/core/paper/sheets";
import { Flow } from "./flow";
import { artifact } from "./furniture";
import { type Doc, writeText } from "./paint-pdf";
import type { Cut } from "./type";

const INK = "#16323A";
const QUIET = "#4A6572";
const HEAD: Cut = { family: "bricolage", weight: 600 };
const PLAIN: Cut = { family: "hyperlegible", weight: 400 };
const BOLD: Cut = { family: "hyperlegible", weight: 700 };
const SIDE_MM = 28;

/** A kind of line on a page of text. */
const KINDS = {
  title: { cut: HEAD, size: 26, fill: INK, tag: "H1", more: { after: 4 } },
  heading: { cut: HEAD, size: 16, fill: INK, tag: "H2", more: { before: 16, after: 4, withNext: 70 } },
  small: { cut: BOLD, size: 10.5, fill: INK, tag: "H3", more: { before: 8, after: 2, withNext: 30 } },
  text: { cut: PLAIN, size: 11, fill: INK, tag: "P", more: { after: 4 } },
  quiet: { cut: PLAIN, size: 9.5, fill: QUIET, tag: "P", more: { after: 4 } },
  item: { cut: PLAIN, size: 10.5, fill: INK, tag: "P", more: { after: 3, indent: 16 } },
} as const satisfies Record<LineKind, unknown>;

/** A PDF of flowing text on A4, upright, its pages numbered, tagged for reading aloud. */
export class TextDocument {
  readonly doc: Doc;
  readonly flow: Flow;
  private readonly chunks: Uint8Array[] = [];
  private readonly ended: Promise<void>;
  private readonly newPage: () => void;
  private readonly top = 56;

  constructor(title: string, lang = "en") {
    const options = {
      autoFirstPage: false,
      font: "",
      margin: 0,
      pdfVersion: "1.7",
      tagged: true,
      lang,
      displayTitle: true,
    };
    const doc: Doc = new PDFDocument({
      ...options,
      info: { Title: title, Creator: "Fastigo", Producer: "Fastigo" },
    } as never);
    this.doc = doc;
    this.ended = new Promise<void>((resolve) => doc.on("end", resolve));
    doc.on("data", (c: Uint8Array) => this.chunks.push(c));
    const [w, h] = PAPERS.a4.map((mm) => mm * PT_PER_MM) as [number, number];
    const side = SIDE_MM * PT_PER_MM;
    const root = doc.struct("Document");
    doc.addStructure(root);
    const tag = (kind: string, write: () => void) => {
      const [name = "P", ...alt] = kind.split(" ");
      root.add(doc.struct(name as never, alt.length > 0 ? { alt: alt.join(" ") } : {}, write as never));
    };
    let pages = 0;
    this.newPage = () => {
      doc.addPage({ size: [w, h], margin: 0 });
      pages++;
      const number = pages;
      artifact(doc, () => writeText(doc, String(number), w - side, h - 30, PLAIN, 8, QUIET, { align: "end" }));
    };
    this.newPage();
    const columns = { x: [side], width: w - 2 * side, top: this.top, foot: h - 56 };
    this.flow = new Flow(doc, columns, new Set(), this.newPage, tag);
  }

  /** Writes a line; what does not fit goes to the next page. */
  say({ kind, text, bullet }: Line): void {
    const { cut, size, fill, tag, more } = KINDS[kind];
    this.flow.paragraph([{ text, cut, fill }], { size, ...more, ...(bullet ? { bullet } : {}) }, tag);
  }

  /** What follows begins on a page of its own. */
  turn(): void {
    this.newPage();
    this.flow.y = this.top;
  }

  async end(): Promise<Uint8Array> {
    this.doc.end();
    await this.ended;
    return new Uint8Array(Buffer.concat(this.chunks));
  }
}

/** Sheets of text, each beginning on a page of its own. */
export async function makeSheets(title: string, sheets: readonly (readonly Line[])[]): Promise<Uint8Array> {
  const made = new TextDocument(title);
  for (const [i, lines] of sheets.entries()) {
    if (i > 0) made.turn();
    for (const line of lines)
      for (const text of line.text.split("\n")) if (text.trim() !== "") made.say({ ...line, text });
  }
  return made.end();
}
