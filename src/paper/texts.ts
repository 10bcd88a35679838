import type { Frozen } from "@/core/formats/frozen";
import { styleOf } from "@/core/looks/style";
import type { PaperWishes } from "@/core/paper/sheets";
import { PT_PER_MM } from "@/core/paper/sheets";
import { answerList } from "@/core/sources/asked";
import { workOf, worksOf } from "@/core/sources/cited";
import { type Block, type Inline, safeAddress } from "@/core/text/description";
import { isDated } from "@/core/time/when";
import { whenLabel } from "@/core/time/write-when";
import { periodText } from "@/core/timeline/period";
import { mannerOf } from "@/core/timeline/read-options";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/paper";
import { type Columns, Flow, type Run, type Style } from "./flow";
import { artifact } from "./furniture";
import type { Pictures } from "./pictures";
import { type Doc, writeText } from "./paint-pdf";
import { type Cut, widthOf } from "./type";

interface Text {
  doc: Doc;
  tag: (kind: string, write: () => void) => void;
  missing: Set<string>;
  frozen: Frozen;
  plan: { timeline: Timeline; sheet: { w: number; h: number }; margin: number; wishes: PaperWishes };
  page: () => void;
  pictures: Pictures;
  day: string;
  report?: ((done: number, total: number) => Promise<void>) | undefined;
}

const INK = "#16323A";
const QUIET = "#4A6572";
const LINK = "#0B6E69";
/** A column of text is about as wide as that, mm, on sheets that have room for several. */
const COLUMN = 92;
const GAP = 8 * PT_PER_MM;
const BASE = 10;

interface Cuts {
  heading: Cut;
  plain: Cut;
  bold: Cut;
}
function cutsOf(t: Timeline): Cuts {
  const { heading, family } = styleOf(t);
  return { heading: { family: heading, weight: 600 }, plain: { family, weight: 400 }, bold: { family, weight: 700 } };
}

/** Pages of text: how wide their columns are, and what stands at the foot of each. */
function flowOf(t: Text, columnsWanted: number | null): Flow {
  const { sheet, margin } = t.plan;
  // A single column of small sheets has air beside it.
  const inner = sheet.w - 2 * margin;
  const fits = Math.max(1, Math.floor((inner + GAP) / (COLUMN * PT_PER_MM + GAP)));
  const n = columnsWanted ?? (fits === 1 ? 1 : Math.min(fits, 4));
  const side = n === 1 ? Math.max(margin, (sheet.w - Math.min(inner, 150 * PT_PER_MM)) / 2) : margin;
  const width = (sheet.w - 2 * side - (n - 1) * GAP) / n;
  const columns: Columns = {
    x: Array.from({ length: n }, (_, i) => side + i * (width + GAP)),
    width,
    top: margin + 8,
    foot: sheet.h - margin - 20,
  };
  const cuts = cutsOf(t.plan.timeline);
  let pages = 0;
  const newPage = () => {
    t.page();
    pages++;
    const number = pages;
    artifact(t.doc, () => {
      const foot = sheet.h - margin;
      writeText(t.doc, t.frozen.title || WORDS.untitled, side, foot, cuts.plain, 7.5, QUIET, { missing: t.missing });
      writeText(
        t.doc,
        number === 1 ? WORDS.madeWith(t.day) : String(number),
        sheet.w - side,
        foot,
        cuts.plain,
        7.5,
        QUIET,
        {
          align: "end",
        },
      );
    });
  };
  newPage();
  return new Flow(t.doc, columns, t.missing, newPage, t.tag);
}

/** The timeline as a text with its pictures: its beginning, every event in order, chapters, its end, sources and credits. */
export async function writeTexts(
  t: Text,
  numbers: ReadonlyMap<string, number> | null,
  only: "all" | "credits" = "all",
): Promise<void> {
  const { frozen } = t;
  const cuts = cutsOf(t.plan.timeline);
  const flow = flowOf(t, null);
  const manner = mannerOf(frozen);
  const say = (text: string, cut: Cut, style: Style, kind = "P", fill = INK) =>
    flow.paragraph([{ text, cut, fill }], style, kind);
  const picturesOf = (of: string) =>
    frozen.items.filter((i) => i.of === of && i.list === "media" && (i.kind === "picture" || i.media));

  if (only === "all") {
    if (numbers === null) {
      say(frozen.title || WORDS.untitled, cuts.heading, { size: 24, lead: 1.15, after: 4 }, "H1");
      const facts = [
        frozen.byline ? WORDS.by(frozen.byline) : "",
        periodText(frozen.period, frozen.events, manner),
        WORDS.events(frozen.events.length),
      ];
      say(facts.filter(Boolean).join(" · "), cuts.plain, { size: BASE, after: 8 }, "P", QUIET);
      await figures("timeline", 0.36);
      await blocks(frozen.introduction);
    } else say(WORDS.texts, cuts.heading, { size: 18, after: 6 }, "H1");
    const chapters = frozen.chapters ?? [];
    for (const [n, e] of frozen.events.entries()) {
      for (const c of chapters) if (c.before === e.id) await chapter(c.title, c.description);
      const label = isDated(e.when) ? whenLabel(e.when, manner) : "";
      const number = numbers?.get(e.id);
      say(
        [number ? `${number}. ` : "", label].join(""),
        cuts.bold,
        { size: BASE * 0.92, before: 12, withNext: 62 },
        "P",
        LINK,
      );
      say(
        e.title || WORDS.untitled,
        cuts.heading,
        { size: BASE * 1.35, lead: 1.2, after: 2, withNext: e.description.length > 0 ? 30 : 0 },
        "H2",
      );
      await blocks(e.description);
      await figures(e.id, 0.3);
      sourcesOf(e.id);
      if (n % 20 === 19) await t.report?.(n + 1, frozen.events.length);
    }
    for (const c of chapters) if (c.before === null) await chapter(c.title, c.description);
    if ((frozen.closing ?? []).length > 0) {
      say(WORDS.closing, cuts.heading, { size: 16, before: 18, after: 4, withNext: 40 }, "H2");
      await blocks(frozen.closing ?? []);
    }
    await listOfSources();
  }
  credits();

  async function chapter(title: string, text: readonly Block[]): Promise<void> {
    say(title || WORDS.untitled, cuts.heading, { size: 18, lead: 1.2, before: 20, after: 4, withNext: 40 }, "H2");
    await blocks(text);
  }

  async function figures(of: string, share: number): Promise<void> {
    for (const i of picturesOf(of)) await medium(i, share);
  }

  async function medium(i: Frozen["items"][number], share: number): Promise<void> {
    const found = await t.pictures.fetch(i.id, flow.width);
    if (!found) return;
    flow.space(5);
    flow.picture(
      found.image,
      found.proportion,
      (flow.columns.foot - flow.columns.top) * share,
      i.text || i.caption || WORDS.untitled,
    );
    const said = [i.caption, WORDS.credit(i.credit, i.licence)].filter(Boolean).join(". ");
    if (said) say(said, cuts.plain, { size: 7.5, before: 2, after: 5 }, "P", QUIET);
    else flow.space(5);
  }

  async function blocks(list: readonly Block[], indent = 0): Promise<void> {
    for (const b of list)
      switch (b.kind) {
        case "paragraph":
          flow.paragraph(b.content.map(run), { size: BASE, after: 4, indent, ...aligned(b.align) });
          break;
        case "heading":
          flow.paragraph(
            b.content.map((i) => ({ ...run(i), cut: cuts.heading })),
            {
              size: b.level === 1 ? BASE * 1.2 : BASE * 1.08,
              before: 5,
              after: 2,
              indent,
              withNext: 40,
              ...aligned(b.align),
            },
            b.level === 1 ? "H3" : "H4",
          );
          break;
        case "quote":
          await blocks(b.blocks, indent + 12);
          break;
        case "medium": {
          const item = frozen.items.find((i) => i.id === b.item);
          if (item) await medium(item, 0.3);
          break;
        }
        case "list":
          for (const [n, item] of b.items.entries()) {
            const [first, ...rest] = item;
            if (first?.kind === "paragraph")
              flow.paragraph(first.content.map(run), {
                size: BASE,
                after: 2,
                indent: indent + 14,
                bullet: b.ordered ? `${n + 1}.` : "•",
              });
            await blocks(first?.kind === "paragraph" ? rest : item, indent + 14);
          }
      }
  }

  function run(i: Inline): Run {
    if (i.kind === "break") return { text: "\n", cut: cuts.plain, fill: INK };
    const has = (kind: string) => i.marks.some((m) => m.kind === kind);
    const address = i.marks.find((m) => m.address)?.address;
    const link = address ? safeAddress(address) : null;
    return {
      text: i.text,
      cut: { ...cuts.plain, weight: has("bold") ? 700 : 400, ...(has("italic") ? { italic: true } : {}) },
      fill: link ? LINK : INK,
      ...(link ? { link } : {}),
    };
  }

  function sourcesOf(of: string): void {
    const links = frozen.items.filter((i) => i.of === of && i.list === "link");
    for (const i of links) {
      const address = safeAddress(i.address);
      flow.paragraph(
        [
          { text: `${WORDS.link} `, cut: cuts.plain, fill: QUIET },
          { text: i.text || i.address, cut: cuts.plain, fill: LINK, ...(address ? { link: address } : {}) },
        ],
        { size: 8 },
      );
    }
  }

  async function listOfSources(): Promise<void> {
    const order = new Map(["timeline", ...frozen.events.map((e) => e.id)].map((id, i) => [id, i]));
    const named = frozen.items
      .filter((i) => i.list === "source" && order.has(i.of))
      .sort((a, b) => order.get(a.of)! - order.get(b.of)!);
    if (named.length === 0) return;
    const works = worksOf(new Map((frozen.sources ?? []).map((s) => [s.id, s])), named);
    const { entries } = await answerList({
      works,
      manner: frozen.sourceManner ?? "apa",
      language: frozen.language ?? "en",
      cited: works.flatMap((w) => w.references).map((r) => ({ work: workOf(r), page: r.page ?? "" })),
    });
    say(WORDS.sources, cuts.heading, { size: 15, before: 18, after: 4, withNext: 40 }, "H2");
    for (const e of entries)
      flow.paragraph(
        e.runs.map((r) => ({ text: r.text, cut: { ...cuts.plain, ...(r.italic ? { italic: true } : {}) }, fill: INK })),
        { size: 8.5, after: 3, indent: 14, ...(e.number === null ? {} : { bullet: `${e.number}.` }) },
      );
  }

  function credits(): void {
    const titles = new Map(frozen.events.map((e) => [e.id, e.title]));
    const said = frozen.items.flatMap((i) => {
      if (i.list === "source" || i.list === "link" || i.kind === "page") return [];
      const credit = WORDS.credit(i.credit, i.licence);
      return credit ? [`${i.caption || i.text || titles.get(i.of) || frozen.title}: ${credit}`] : [];
    });
    if (said.length === 0) return;
    say(WORDS.pictures, cuts.heading, { size: 15, before: 18, after: 4, withNext: 40 }, "H2");
    for (const line of said) say(line, cuts.plain, { size: 8.5, after: 2 });
  }
}

const aligned = (align?: "center" | "right"): Pick<Style, "align"> =>
  align === "center" ? { align: "middle" } : align === "right" ? { align: "end" } : {};

/** The index as a list: a line an event, with its date, title, category and place. */
export function writeIndex(t: Text): void {
  const { frozen, doc } = t;
  const cuts = cutsOf(t.plan.timeline);
  const flow = flowOf(t, 1);
  const manner = mannerOf(frozen);
  const size = 9;
  const categories = new Map(frozen.categories.map((c) => [c.id, c.name]));
  const hasPlaces = frozen.events.some((e) => e.place);
  flow.paragraph(
    [{ text: frozen.title || WORDS.untitled, cut: cuts.heading, fill: INK }],
    { size: 20, after: 2 },
    "H1",
  );
  flow.paragraph(
    [
      {
        text: [frozen.byline ? WORDS.by(frozen.byline) : "", WORDS.events(frozen.events.length)]
          .filter(Boolean)
          .join(" · "),
        cut: cuts.plain,
        fill: QUIET,
      },
    ],
    { size, after: 8 },
  );
  const shares = hasPlaces ? [0.2, 0.42, 0.19, 0.19] : [0.22, 0.54, 0.24];
  const lefts = shares.map((_, i) => flow.width * shares.slice(0, i).reduce((a, b) => a + b, 0));
  const head = hasPlaces
    ? [WORDS.when, WORDS.title, WORDS.category, WORDS.place]
    : [WORDS.when, WORDS.title, WORDS.category];
  const line = (cells: readonly string[], cut: Cut, ink: string) => {
    const wrapped = cells.map((c, i) => brokenInto(c, cut, size, flow.width * shares[i]! - 8));
    const height = Math.max(...wrapped.map((w) => w.length)) * size * 1.3 + 3;
    const before = flow.y;
    flow.need(height);
    if (flow.y < before && cut !== cuts.bold) line(head, cuts.bold, QUIET);
    const [x, y] = [flow.x, flow.y];
    t.tag("P", () => {
      for (const [i, rows] of wrapped.entries())
        for (const [k, row] of rows.entries())
          writeText(doc, row, x + lefts[i]!, y + size + k * size * 1.3, cut, size, ink, { missing: t.missing });
    });
    artifact(doc, () =>
      doc
        .lineWidth(0.3)
        .moveTo(x, y + height - 0.5)
        .lineTo(x + flow.width, y + height - 0.5)
        .stroke("#D5DEDC"),
    );
    flow.y += height;
  };
  line(head, cuts.bold, QUIET);
  for (const e of frozen.events)
    line(
      [
        isDated(e.when) ? whenLabel(e.when, manner) : WORDS.noDate,
        e.title || WORDS.untitled,
        categories.get(e.category ?? "") ?? "",
        ...(hasPlaces ? [e.place] : []),
      ],
      cuts.plain,
      INK,
    );
}

function brokenInto(text: string, cut: Cut, size: number, width: number): string[] {
  const lines: string[] = [];
  let line = "";
  for (const word of text.split(/\s+/)) {
    const longer = line ? `${line} ${word}` : word;
    if (line && widthOf(longer, cut, size) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}
