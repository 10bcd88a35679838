import PDFDocument from "pdfkit";
import { PAPERS, PT_PER_MM } from "@/core/paper/sheets";
import { GUIDE, WORDS } from "@/core/words/en/guide";
import { Flow } from "./flow";
import { artifact } from "./furniture";
import { type Doc, type Picture, writeText } from "./paint-pdf";
import type { Cut } from "./type";

const INK = "#16323A";
const QUIET = "#4A6572";
const HEAD: Cut = { family: "bricolage", weight: 600 };
const PLAIN: Cut = { family: "hyperlegible", weight: 400 };

/** The guide on A4. `picture` gives the bytes of one by its name; null leaves it out. */
export async function makeGuidePdf(picture: (name: string) => Uint8Array | null): Promise<Uint8Array> {
  const title = `Fastigo – ${WORDS.help}`;
  const options = {
    autoFirstPage: false,
    font: "",
    margin: 0,
    pdfVersion: "1.7",
    tagged: true,
    lang: "en",
    displayTitle: true,
  };
  const doc: Doc = new PDFDocument({
    ...options,
    info: { Title: title, Creator: "Fastigo", Producer: "Fastigo" },
  } as never);
  const chunks: Uint8Array[] = [];
  const ended = new Promise<void>((resolve) => doc.on("end", resolve));
  doc.on("data", (c: Uint8Array) => chunks.push(c));
  const [w, h] = PAPERS.a4.map((mm) => mm * PT_PER_MM) as [number, number];
  const side = 28 * PT_PER_MM;
  const root = doc.struct("Document");
  doc.addStructure(root);
  const tag = (kind: string, write: () => void) => {
    const [name = "P", ...alt] = kind.split(" ");
    root.add(doc.struct(name as never, alt.length > 0 ? { alt: alt.join(" ") } : {}, write as never));
  };
  let pages = 0;
  const newPage = () => {
    doc.addPage({ size: [w, h], margin: 0 });
    pages++;
    const number = pages;
    artifact(doc, () => writeText(doc, String(number), w - side, h - 30, PLAIN, 8, QUIET, { align: "end" }));
  };
  newPage();
  const flow = new Flow(doc, { x: [side], width: w - 2 * side, top: 56, foot: h - 56 }, new Set(), newPage, tag);
  const say = (text: string, cut: Cut, size: number, more: object, kind = "P") =>
    flow.paragraph([{ text, cut, fill: INK }], { size, ...more }, kind);
  say(title, HEAD, 26, { after: 4 }, "H1");
  say(WORDS.intro, PLAIN, 11, { after: 12 });
  for (const task of GUIDE) {
    say(task.title, HEAD, 16, { before: 16, after: 4, withNext: 70 }, "H2");
    for (const [i, step] of task.steps.entries()) say(step, PLAIN, 10.5, { after: 3, indent: 16, bullet: `${i + 1}.` });
    const bytes = task.picture && picture(task.picture.name);
    if (task.picture && bytes) {
      const image = (doc as unknown as { openImage(b: Buffer): Picture & { width: number; height: number } }).openImage(
        Buffer.from(bytes),
      );
      flow.space(6);
      flow.picture(image, image.width / image.height, 220, task.picture.alt);
      flow.space(6);
    }
  }
  doc.end();
  await ended;
  return new Uint8Array(Buffer.concat(chunks));
}
