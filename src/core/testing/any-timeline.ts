import fc from "fast-check";
import type { Block, Inline, Mark } from "../text/description";
import { descriptionOf } from "../text/write-description";
import { readWhen } from "../time/read/read-when";
import { type SourceKind, SOURCE_KINDS } from "../timeline/fields";
import { COLOURS, type Colour, PATTERNS, SIGNS } from "../timeline/looks";
import { between } from "../timeline/place";
import { emptyCategory, emptyEvent, emptyItem, emptySource, emptyTimeline, type Timeline } from "../timeline/timeline";

/** Texts as people write them, and some they do not: what spreadsheets and markup take for signs. */
const WORDS = [
  "flood",
  "Überschwemmung",
  "=1+2",
  "+3",
  "-4",
  "@home",
  "'quoted",
  '"',
  "a, b; c",
  "<b>",
  "&amp;",
  "| x",
  "# not",
  "* a",
  "1. b",
  "שיטפון",
  "洪水",
  "🌉",
  "e\u0301",
  "007",
  "2 > 1",
  "\\",
  "`",
  "[x](y)",
  "BEGIN:VEVENT",
  "0 HEAD",
];
const word = fc.constantFrom(...WORDS);
const line = fc.oneof(
  fc.constant(""),
  fc.array(word, { minLength: 1, maxLength: 5 }).map((w) => w.join(" ")),
  fc.string({ maxLength: 20 }).map(plain),
);
const lines = fc.array(line, { maxLength: 3 }).map((l) => l.join("\n"));
const typed = fc.constantFrom(
  "",
  "1846",
  "c. 1604",
  "14 Nov 1872",
  "14 Nov 1872 22:10",
  "1631 - 1702",
  "310 BC",
  "about 1702 to 1710",
  "2 May 2001",
  "3 May 2001 10:00 to 11:00",
  "whenever",
  "-310",
  "03/04/1872",
  "66 million years ago",
  "from 1890",
  "spring 1783",
);

/** Without what no text of Fastigo holds. */
function plain(text: string): string {
  return text.replaceAll(/[\p{Cc}\p{Cs}\ufffe\uffff]/gu, "");
}

const MARKS: Mark[][] = [
  [],
  [{ kind: "bold" }],
  [{ kind: "italic" }],
  [{ kind: "link", address: "https://ambrel.example/" }],
  [{ kind: "colour", colour: "plum" }],
];
const inline: fc.Arbitrary<Inline> = fc.oneof(
  fc.record({
    kind: fc.constant("text" as const),
    text: line.filter((t) => t !== ""),
    marks: fc.constantFrom(...MARKS),
  }),
  fc.constant({ kind: "break" as const }),
);
const paragraph: fc.Arbitrary<Block> = fc
  .array(inline, { minLength: 1, maxLength: 3 })
  .map((content) => ({ kind: "paragraph", content }));
const block: fc.Arbitrary<Block> = fc.oneof(
  { weight: 4, arbitrary: paragraph },
  fc
    .array(inline, { minLength: 1, maxLength: 2 })
    .map((content): Block => ({ kind: "heading", level: 2, content, align: "center" })),
  fc.array(paragraph, { minLength: 1, maxLength: 2 }).map((blocks): Block => ({ kind: "quote", blocks })),
  fc
    .array(fc.array(paragraph, { minLength: 1, maxLength: 1 }), { minLength: 1, maxLength: 3 })
    .map((items): Block => ({ kind: "list", ordered: true, items })),
);
const description = fc.array(block, { maxLength: 3 }).map((blocks) => descriptionOf(blocks, 1));

const event = fc.record({
  title: line,
  shortTitle: line,
  typed,
  description,
  category: fc.option(fc.nat({ max: 2 })),
  partOf: fc.option(fc.nat({ max: 5 })),
  place: line,
  tags: fc.uniqueArray(fc.constantFrom("river", "long night", "toll"), { maxLength: 3 }),
  note: lines,
  origin: fc.constantFrom("", "I1/BIRT", "row 7"),
  chapter: fc.boolean().map((b) => b),
  emphasis: fc.boolean(),
  loudness: fc.constantFrom(-1 as const, 0 as const, 1 as const),
  sign: fc.constantFrom("" as const, ...SIGNS),
  spot: fc.option(fc.record({ along: fc.integer({ min: -99, max: 99 }), across: fc.integer({ min: -99, max: 99 }) })),
  closeUp: fc.constantFrom("" as const, "open" as const, "closed" as const),
  done: fc.option(fc.nat({ max: 100 })),
  sources: fc.array(fc.record({ text: line, page: line, quote: line, source: fc.option(fc.nat({ max: 1 })) }), {
    maxLength: 2,
  }),
  links: fc.array(
    fc.record({ text: line, address: fc.constantFrom("", "https://ambrel.example/a", "mailto:a@b.example") }),
    { maxLength: 2 },
  ),
  pictures: fc.array(fc.record({ caption: line, credit: line, licence: line, text: line }), { maxLength: 2 }),
});

/** Any timeline, with everything that one can hold. */
export const anyTimeline: fc.Arbitrary<Timeline> = fc
  .record({
    title: line,
    subject: line,
    byline: line,
    introduction: description,
    closing: description,
    scale: fc.constantFrom("balanced" as const, "true" as const, "even" as const),
    dateOrder: fc.constantFrom(null, "dmy" as const, "mdy" as const),
    gridlines: fc.boolean(),
    language: fc.constantFrom("en", "de"),
    categories: fc.array(
      fc.record({
        name: line,
        colour: fc.constantFrom(...(Object.keys(COLOURS) as Colour[])),
        pattern: fc.constantFrom(...PATTERNS),
      }),
      { minLength: 0, maxLength: 3 },
    ),
    sources: fc.array(
      fc.record({
        kind: fc.constantFrom(...SOURCE_KINDS) as fc.Arbitrary<SourceKind>,
        title: line,
        publisher: line,
        typed,
      }),
      { minLength: 0, maxLength: 2 },
    ),
    events: fc.array(event, { maxLength: 6 }),
  })
  .map(({ categories, sources, events, ...own }): Timeline => {
    let place: string | null = null;
    const next = () => (place = between(place, null));
    const items = events.flatMap((e, n) => [
      ...e.sources.map((s, i) => ({
        ...emptyItem(`s${n}-${i}`),
        ...s,
        of: `e${n}`,
        list: "source" as const,
        source: s.source !== null && sources[s.source] ? `q${s.source}` : null,
        place: next(),
      })),
      ...e.links.map((l, i) => ({
        ...emptyItem(`l${n}-${i}`),
        ...l,
        of: `e${n}`,
        list: "link" as const,
        place: next(),
      })),
      ...e.pictures.map((p, i) => ({
        ...emptyItem(`p${n}-${i}`),
        ...p,
        of: `e${n}`,
        list: "media" as const,
        kind: "picture" as const,
        media: `m${n}${i}`,
        width: 40,
        height: 30,
        place: next(),
      })),
    ]);
    return {
      ...emptyTimeline("any"),
      ...own,
      categories: new Map(categories.map((c, i) => [`c${i}`, { ...emptyCategory(`c${i}`), ...c, place: `a${i}` }])),
      sources: new Map(
        sources.map(({ typed: t, ...s }, i) => [`q${i}`, { ...emptySource(`q${i}`), ...s, date: readWhen(t) }]),
      ),
      items: new Map(items.map((i) => [i.id, i])),
      events: new Map(
        events.map(({ typed: t, sources: _s, links: _l, pictures: _p, category, partOf, ...e }, n) => {
          const when = readWhen(t, { order: own.dateOrder, sentence: false });
          const dated = when.readAs.kind === "moment" || when.readAs.kind === "span";
          const whole = partOf !== null && partOf < n ? `e${partOf}` : null;
          const chapter = e.chapter && n % 3 === 2;
          return [
            `e${n}`,
            {
              ...emptyEvent(`e${n}`),
              ...e,
              chapter,
              category: category !== null && categories[category] ? `c${category}` : null,
              partOf: whole,
              when:
                dated && !chapter
                  ? when
                  : { ...(chapter ? readWhen("") : when), place: { after: n > 0 ? "e0" : null, key: `a${n}` } },
            },
          ] as const;
        }),
      ),
    };
  });
