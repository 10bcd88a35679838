// Long because it is the order of everything that stands on paper: chart, close-ups, texts, index, credits.
import PDFDocument from "pdfkit";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { cropOf } from "@/core/chart/draw/scene";
import { type Frozen, timelineFromFrozen } from "@/core/formats/frozen";
import { keyOf } from "@/core/looks/key";
import { printedWishes, styleOf } from "@/core/looks/style";
import { type Fitted, fitChart, sheetThatFits } from "@/core/paper/fit-chart";
import { halfOf, isFolded, marginOf, type PaperWishes, PT_PER_MM, partsOver, sheetOf } from "@/core/paper/sheets";
import { inOrder } from "@/core/timeline/order";
import { wholesOf } from "@/core/timeline/parts";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/paper";
import { folded } from "./fold";
import { Furniture } from "./furniture";
import { writeIndex, writeTexts } from "./texts";
import { type Doc, paintScene } from "./paint-pdf";
import { Pictures, type PictureOf } from "./pictures";
import { scriptsOf } from "./type";

export interface Around {
  picture: PictureOf;
  /** Today, in words. */
  day: string;
  /** Called with each sheet that is done. */
  report?: (done: number, total: number) => Promise<void>;
}

/** One drawing on one or several sheets. */
interface ChartPart {
  heading: string;
  timeline: Timeline;
  fitted: Fitted;
  parts: ReturnType<typeof partsOver>["parts"];
  area: { w: number; h: number };
}

export interface Planned {
  sheets: number;
  notices: string[];
}

interface Plan extends Planned {
  timeline: Timeline;
  numbers: Map<string, number>;
  charts: ChartPart[];
  sheet: { w: number; h: number };
  margin: number;
  furniture: Furniture;
}

/** Lays everything out that is drawn, and says what there is to say before it is printed. */
function planOf(frozen: Frozen, wishes: PaperWishes): Plan {
  const mm = sheetOf(wishes);
  const sheet = { w: mm.w * PT_PER_MM, h: mm.h * PT_PER_MM };
  const margin = marginOf(mm) * PT_PER_MM;
  const timeline = printedWishes(timelineFromFrozen(frozen));
  const ordered = inOrder(timeline.events.values());
  const numbers = new Map(ordered.map((e, i) => [e.id, i + 1]));
  const notices: string[] = [];
  const furniture = new Furniture(frozen, keyOf(timeline), styleOf(timeline), sheet, margin, wishes);
  const charts: ChartPart[] = [];
  if (wishes.what === "chart" && ordered.length > 0) {
    const drawn = wishes.texts ? numbered(timeline, numbers) : timeline;
    const area = furniture.area();
    const over = partsOver(wishes.sheets, area);
    const options = {
      closeUps: wishes.closeUps === "with" ? ("auto" as const) : ("none" as const),
      ...(wishes.view ? { view: wishes.view } : {}),
    };
    const fitted = fitChart(drawn, over, options);
    charts.push({ heading: "", timeline: drawn, fitted, parts: over.parts, area: over });
    if (fitted.gathered > 0) {
      notices.push(WORDS.gathered(fitted.gathered, paperName(wishes)));
      const innerOf = (name: Parameters<Parameters<typeof sheetThatFits>[2]>[0]) => {
        const other = { ...wishes, paper: name, across: true, sheets: { across: 1, down: 1 } };
        const size = sheetOf(other);
        return new Furniture(
          frozen,
          keyOf(timeline),
          styleOf(timeline),
          { w: size.w * PT_PER_MM, h: size.h * PT_PER_MM },
          marginOf(size) * PT_PER_MM,
          other,
        ).area();
      };
      const fits = sheetThatFits(drawn, over, innerOf, options);
      notices.push(fits ? WORDS.fitsOn(WORDS.papers[fits]) : WORDS.fitsNowhere);
    }
    if (wishes.closeUps === "after")
      for (const { title, of } of closeUpsOf(drawn, over))
        charts.push({
          heading: WORDS.closeUp(title),
          timeline: of,
          fitted: fitChart(of, area, { closeUps: "none" }),
          parts: partsOver({ across: 1, down: 1 }, area).parts,
          area,
        });
    notices.push(...coarsePictures(charts, frozen));
  }
  if (ordered.length === 0 && frozen.introduction.length === 0) notices.push(WORDS.nothing);
  return {
    timeline,
    numbers,
    charts,
    sheet,
    margin,
    furniture,
    notices,
    sheets: charts.reduce((n, c) => n + c.parts.length, 0),
  };
}

/** What will come of it: how many sheets the chart takes, and what is to be said before. */
export function planPaper(frozen: Frozen, wishes: PaperWishes): Planned {
  const { sheets, notices } = planOf(frozen, wishes);
  return { sheets, notices };
}

/** A timeline on paper, as the bytes of a PDF: as it is read on a screen, or as it is folded. See `flatPdf`. */
export async function makePdf(
  frozen: Frozen,
  wishes: PaperWishes,
  around: Around,
): Promise<{ bytes: Uint8Array; notices: string[]; sheets: number }> {
  if (!isFolded(wishes)) return flatPdf(frozen, wishes, around);
  const half = halfOf(wishes);
  const made = await flatPdf(frozen, { ...wishes, paper: half }, around);
  const sheet = { w: half.w * 2 * PT_PER_MM, h: half.h * PT_PER_MM };
  const { bytes, sides } = await folded(made.bytes, sheet, {
    title: frozen.title || WORDS.untitled,
    author: frozen.byline,
    language: frozen.language || "en",
  });
  return { bytes, notices: [...made.notices, WORDS.foldedOn(made.sheets, sides / 2)], sheets: sides };
}

/** A timeline on paper, as the bytes of a PDF 1.7 document, tagged, with its type inside; and what there is to say of it. */
async function flatPdf(
  frozen: Frozen,
  wishes: PaperWishes,
  around: Around,
): Promise<{ bytes: Uint8Array; notices: string[]; sheets: number }> {
  const plan = planOf(frozen, wishes);
  const notices = [...plan.notices];
  const missing = new Set<string>();
  const title = frozen.title || WORDS.untitled;
  const doc: Doc = new PDFDocument({
    autoFirstPage: false,
    font: "",
    margin: 0,
    pdfVersion: "1.7",
    tagged: true,
    lang: frozen.language || "en",
    displayTitle: true,
    compress: true,
    info: { Title: title, Author: frozen.byline, Creator: "Fastigo", Producer: "Fastigo" },
  } as never);
  const chunks: Uint8Array[] = [];
  const ended = new Promise<void>((resolve, reject) => {
    doc.on("data", (chunk: Uint8Array) => chunks.push(chunk));
    doc.on("end", resolve);
    doc.on("error", reject);
  });
  const root = doc.struct("Document");
  doc.addStructure(root);
  const tag = (kind: string, write: () => void) => {
    const [name = "P", ...alt] = kind.split(" ");
    root.add(doc.struct(name as never, alt.length > 0 ? { alt: alt.join(" ") } : {}, write as never));
  };
  const pictures = new Pictures(doc, frozen, around.picture);
  const { furniture } = plan;
  let done = 0;
  const page = () => {
    doc.addPage({ size: [plan.sheet.w, plan.sheet.h], margin: 0 });
    done++;
  };

  for (const chart of plan.charts) {
    const { scene, ptPerPx } = chart.fitted;
    await pictures.load(scene, ptPerPx);
    for (const part of chart.parts) {
      page();
      const at = furniture.chartSheet(doc, tag, missing, {
        heading: chart.heading,
        part,
        of: chart.parts.length,
        day: around.day,
      });
      tag(`Figure ${WORDS.chartOf(title)}. ${WORDS.events(frozen.events.length)}.`, () => {
        doc.save();
        doc.rect(at.x, at.y, part.w, part.h).clip();
        // In the middle of what it may take.
        const [dx, dy] = [
          Math.max(0, (chart.area.w - scene.width * ptPerPx) / 2),
          Math.max(0, (chart.area.h - scene.height * ptPerPx) / 2),
        ];
        doc.translate(at.x - part.x + dx, at.y - part.y + dy);
        doc.scale(ptPerPx);
        paintScene(doc, scene, { picture: (item) => pictures.find(item), missing });
        doc.restore();
      });
      await around.report?.(done, plan.sheets);
    }
  }
  const text = {
    doc,
    tag,
    missing,
    frozen,
    plan: { ...plan, wishes },
    page,
    pictures,
    day: around.day,
    report: around.report,
  };
  if (wishes.what === "read" || wishes.texts) await writeTexts(text, wishes.texts ? plan.numbers : null);
  if (wishes.what === "index") writeIndex(text);
  if (wishes.what === "chart" && furniture.hasCreditsLeft) await writeTexts(text, null, "credits");
  if (done === 0) {
    page();
    tag("P", () => furniture.nothing(doc));
  }
  doc.end();
  await ended;
  if (missing.size > 0) notices.push(WORDS.noFontFor(scriptsOf(missing)));
  for (const name of pictures.notThere) notices.push(WORDS.missingPicture(name));
  return { bytes: joined(chunks), notices, sheets: done };
}

/** Titles with the number of each event before them, as its text has it. */
function numbered(t: Timeline, numbers: ReadonlyMap<string, number>): Timeline {
  return {
    ...t,
    events: new Map(
      [...t.events].map(([id, e]) => {
        const n = numbers.get(id);
        const before = n ? `${n}. ` : "";
        return [
          id,
          {
            ...e,
            title: `${before}${e.title || WORDS.untitled}`,
            shortTitle: e.shortTitle ? before + e.shortTitle : "",
          },
        ];
      }),
    ),
  };
}

/** The spans that a chart opens as close-ups, each with its parts as a timeline of its own. */
function closeUpsOf(t: Timeline, area: { w: number; h: number }): { title: string; of: Timeline }[] {
  const scene = drawChart(t, { width: Math.round(area.w), height: Math.round(area.h) }, { closeUps: "auto" });
  const ids = [...new Set(scene.targets.filter((x) => x.kind === "close-up").flatMap((x) => x.ids))];
  const wholes = wholesOf(t.events);
  const within = (id: string, whole: string): boolean => {
    for (let at = wholes.get(id), n = 0; at && n < 100; at = wholes.get(at), n++) if (at === whole) return true;
    return false;
  };
  return ids.flatMap((id) => {
    const whole = t.events.get(id);
    const parts = [...t.events.values()].filter((e) => !e.deleted && within(e.id, id));
    if (!whole || parts.length === 0) return [];
    const events = new Map(parts.map((e) => [e.id, wholes.get(e.id) === id ? { ...e, partOf: null } : e]));
    return [{ title: whole.title, of: { ...t, title: whole.title, events } }];
  });
}

const COARSE_DPI = 150;
const MOST_NAMED = 5;

/** Pictures that are larger on paper than they have pixels for. */
function coarsePictures(charts: readonly ChartPart[], frozen: Frozen): string[] {
  const items = new Map(frozen.items.map((i) => [i.id, i]));
  const titles = new Map(frozen.events.map((e) => [e.id, e.title]));
  const found = new Map<string, string>();
  for (const { fitted } of charts)
    for (const s of fitted.scene.shapes) {
      if (s.kind !== "picture") continue;
      const i = items.get(s.item);
      if (!i?.width || !i.height) continue;
      const share = cropOf(s, s.proportion || i.width / i.height).x[1];
      const has = Math.round(i.width * share);
      const needs = Math.round(((s.w * fitted.ptPerPx) / 72) * COARSE_DPI);
      if (has < needs * 0.95)
        found.set(s.item, WORDS.coarse(titles.get(i.of) || frozen.title || WORDS.untitled, has, needs));
    }
  const all = [...found.values()];
  return all.length <= MOST_NAMED ? all : [...all.slice(0, MOST_NAMED), WORDS.moreCoarse(all.length - MOST_NAMED)];
}

function paperName({ paper }: PaperWishes): string {
  return typeof paper === "string" ? WORDS.papers[paper] : `${Math.round(paper.w)} × ${Math.round(paper.h)} mm`;
}

function joined(chunks: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(chunks.reduce((n, c) => n + c.length, 0));
  let at = 0;
  for (const c of chunks) {
    whole.set(c, at);
    at += c.length;
  }
  return whole;
}
