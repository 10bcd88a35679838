import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import { invert } from "../change/invert";
import { type Filled, fillCells } from "../ledger/fill-cells";
import { cellText } from "../ledger/cell-text";
import { readWhen } from "../time/read/read-when";
import { emptyOf, SOURCE, SOURCE_KINDS } from "../timeline/fields";
import { emptyEvent, emptyItem, emptySource, emptyTimeline, itemsByOwner, type Timeline } from "../timeline/timeline";
import { isCited, pageText, referenceText, sourceText, type SourceValues, worksOf } from "./cited";
import { cslName, fromCsl, toCsl } from "./csl-json";
import { lettersOf } from "../text/letters";
import { readSources } from "./read-sources";
import { runsOf } from "./runs";
import { guessOf, takeApart } from "./take-apart";
import { writeList } from "./write-list";
import { writeSources } from "./write-sources";

const source = (part: Partial<SourceValues>): SourceValues => ({ ...emptyOf(SOURCE), ...part });
const BELL = source({
  kind: "book",
  title: "The long night",
  authors: ["Bell, Anna", "Ambrelford Town Council"],
  publisher: "Hollin Press",
  place: "Ambrelford",
  date: readWhen("1873"),
});
const MILL = source({
  kind: "article",
  title: "Ferries",
  authors: ["Mill, J. S."],
  within: "River Studies",
  volume: "3",
  issue: "2",
  pages: "1-20",
  date: readWhen("Nov 1901"),
});
const plain = (runs: readonly { text: string }[]) => runs.map((r) => r.text).join("");

describe("a source as an entry of CSL-JSON", () => {
  const word = fc.stringMatching(/^[A-Za-zäöé0-9][A-Za-zäöé0-9 .'-]{0,18}[A-Za-zäöé0-9]$/);
  const any = fc.record({
    kind: fc.constantFrom(...SOURCE_KINDS.filter((k) => k !== "line")),
    title: word,
    authors: fc.array(
      fc.oneof(
        fc.tuple(word, word).map(([f, g]) => `${f}, ${g}`),
        word,
      ),
      { maxLength: 3 },
    ),
    within: fc.oneof(fc.constant(""), word),
    publisher: fc.oneof(fc.constant(""), word),
    place: fc.oneof(fc.constant(""), word),
    date: fc
      .constantFrom("", "1872", "14 Nov 1872", "Nov 1872", "310 BC", "about 1702", "1811 - 1816")
      .map((t) => readWhen(t)),
    address: fc.constantFrom("", "https://archive.example/roll"),
    lookedUp: fc.constantFrom("", "2026-11-26"),
    callNumber: fc.oneof(fc.constant(""), word),
  });

  it("comes back as it was, whatever its kind", () => {
    fc.assert(
      fc.property(any, (part) => {
        const s = source(part);
        const back = fromCsl(JSON.parse(JSON.stringify(toCsl("x", s))))!;
        expect(back.cut).toEqual([]);
        expect({ ...back.source, date: null }).toEqual({ ...s, date: null });
        expect(back.source.date.edtf).toBe(s.date.edtf);
      }),
      { numRuns: 300 },
    );
  });

  it("keeps what has no field here, and says what was too long", () => {
    const read = fromCsl({
      type: "report",
      title: "T",
      editor: [{ family: "Carr", given: "Tom" }],
      DOI: "10.1/x",
      issued: { literal: "spring 1783" },
      abstract: "x".repeat(6_000),
    })!;
    expect(read.source.rest).toMatchObject({ type: "report", editor: "Carr, Tom", DOI: "10.1/x" });
    expect(read.source.kind).toBe("other");
    expect(read.source.date.typed).toBe("spring 1783");
    expect(read.cut).toEqual(["abstract"]);
    expect(toCsl("x", read.source)).toMatchObject({
      type: "report",
      editor: [{ family: "Carr", given: "Tom" }],
      DOI: "10.1/x",
    });
  });

  it.each([
    ["Bell, Anna", { family: "Bell", given: "Anna" }],
    ["Ambrelford Town Council", { literal: "Ambrelford Town Council" }],
    ["de la Mare, Walter", { family: "de la Mare", given: "Walter" }],
  ])("reads the name %s", (name, read) => expect(cslName(name)).toEqual(read));
});

describe("files of other programs", () => {
  it.each(["bibtex", "ris", "csl-json"] as const)("%s: what is written is read back", async (format) => {
    const written = await writeSources([BELL, MILL], format);
    const read = await readSources(written);
    expect(read).toMatchObject({ format, problems: [] });
    for (const [n, s] of [BELL, MILL].entries()) {
      const { rest: _, date, ...said } = read.sources[n]!;
      const { rest: __, date: own, ...meant } = s;
      expect(said).toEqual(meant);
      expect(date.edtf).toBe(own.edtf);
    }
  });

  it("BibTeX with broken braces: the entry is named with its line, the others are kept", async () => {
    const read = await readSources(
      '@string{hp = "Hollin Press"}\n@book{bell, title={The {Long} Night \\"Uber}, publisher=hp, year=1873}\n@article{broken, title={x\n@misc{last, title={Last}}\n',
    );
    expect(read.sources.map((s) => [s.title, s.publisher])).toEqual([
      ["The Long Night Über", "Hollin Press"],
      ["Last", ""],
    ]);
    expect(read.problems).toEqual([expect.stringContaining("“broken” (line 3)")]);
  });

  it("RIS in Latin-1, with a record that does not end", async () => {
    const bytes = Uint8Array.from(
      "TY  - BOOK\r\nAU  - M\xfcller, J\xf6rg\r\nTI  - Br\xfccken\r\nPY  - 1901\r\nTY  - JOUR\r\nTI  - Furt\r\nER  - \r\n",
      (c) => c.charCodeAt(0),
    );
    const { text, latin } = lettersOf(bytes);
    expect(latin).toBe(true);
    const read = await readSources(text);
    expect(read.sources.map((s) => [s.kind, s.title, s.authors])).toEqual([
      ["book", "Brücken", ["Müller, Jörg"]],
      ["article", "Furt", []],
    ]);
    expect(lettersOf(new TextEncoder().encode("Brücken"))).toEqual({ text: "Brücken", latin: false });
  });

  it.each([
    ["a shopping list", null, 0],
    ["[{]", "csl-json", 1],
    ["[{}]", "csl-json", 1],
    ["@book{}", "bibtex", 1],
    ["TY  - BOOK\nER  - \n", "ris", 1],
  ])("%j gives no source and says why", async (text, format, problems) => {
    const read = await readSources(text);
    expect(read.format).toBe(format);
    expect(read.sources).toEqual([]);
    expect(read.problems).toHaveLength(problems);
  });

  it("never throws", async () => {
    await fc.assert(
      fc.asyncProperty(fc.string(), fc.constantFrom("@book{", "TY  - ", "[{", ""), async (text, begin) => {
        await readSources(begin + text);
      }),
      { numRuns: 150 },
    );
  });
});

describe("the list of sources", () => {
  const works = [
    { id: "m", source: MILL },
    { id: "b", source: BELL },
    { id: "l", source: source({ title: "County roll 12" }) },
  ];

  it.each([
    [
      "apa",
      [
        "Bell, A. & Ambrelford Town Council. (1873). The long night. Hollin Press.",
        "County roll 12",
        "Mill, J. S. (1901). Ferries. River Studies, 3(2), 1–20.",
      ],
      "(Bell & Ambrelford Town Council, 1873, p. 4)",
      null,
    ],
    [
      "harvard",
      [
        "Bell, A. and Ambrelford Town Council (1873) The long night. Ambrelford: Hollin Press.",
        "County roll 12",
        "Mill, J.S. (1901) “Ferries,” River Studies, 3(2), pp. 1–20.",
      ],
      "(Bell and Ambrelford Town Council, 1873, p. 4)",
      null,
    ],
    [
      "numbered",
      [
        "Mill JS. Ferries. River Studies. 1901 Nov;3(2):1–20.",
        "Bell A, Ambrelford Town Council. The long night. Ambrelford: Hollin Press; 1873.",
        "County roll 12",
      ],
      "[2], p. 4",
      "[3], fol. 7r",
    ],
  ] as const)("%s", async (manner, lines, cited, line) => {
    const list = await writeList(works, manner);
    expect(list.entries.map((e) => plain(e.runs))).toEqual(lines);
    expect(list.cite("b", "4")).toBe(cited);
    expect(list.cite("l", "fol. 7r")).toBe(line);
    expect(list.entries.map((e) => e.number)).toEqual(manner === "numbered" ? [1, 2, 3] : [null, null, null]);
  });

  it("two of one author and year are told apart by letters, in the list and where they are named", async () => {
    const twin = { ...BELL, title: "A second night" };
    const list = await writeList([...works, { id: "c", source: twin }], "apa");
    expect([list.cite("b", ""), list.cite("c", "")].sort()).toEqual([
      "(Bell & Ambrelford Town Council, 1873a)",
      "(Bell & Ambrelford Town Council, 1873b)",
    ]);
  });

  it("lets nothing through but letters and italics", async () => {
    const nasty = source({ kind: "book", title: '<img src=x onerror=alert(1)> <i>a & b</i> "q"' });
    const { entries } = await writeList([{ id: "n", source: nasty }], "apa");
    expect(plain(entries[0]!.runs)).toContain("a & b");
    expect(
      runsOf('<div class="csl-left-margin">1.</div><div class="csl-right-inline">A <i>b</i> &#38; &lt;c&gt;</div>'),
    ).toEqual([{ text: "A " }, { text: "b", italic: true }, { text: " & <c>" }]);
  });
});

const timeline = (): Timeline => ({
  ...emptyTimeline("t"),
  events: new Map(["a", "b"].map((id) => [id, { ...emptyEvent(id), title: id, when: readWhen("1872") }])),
  sources: new Map([["bell", { ...emptySource("bell"), ...BELL }]]),
  items: new Map(
    [
      { ...emptyItem("i"), of: "a", source: "bell", page: "12", quote: "It rose." },
      { ...emptyItem("j"), of: "a", text: "Ambrel Post, no. 3914, page 2", place: "a1" },
      { ...emptyItem("k"), of: "b", text: "Ambrel Post, no. 3914, page 2" },
    ].map((i) => [i.id, i]),
  ),
});
const cell = (t: Timeline, id: string) =>
  cellText({ timeline: t, items: itemsByOwner(t), words: () => 0 }, t.events.get(id)!, "source");
let made = 0;
const fill = (t: Timeline, id: string, text: string) => {
  const filling = fillCells(t, { rows: [id], columns: ["source"], cells: [[text]], newId: () => `n${++made}` });
  let step = filling.next();
  while (!step.done) step = filling.next();
  const { ops } = step.value as Filled;
  return { ops, after: apply(t, ops).timeline };
};

describe("a line", () => {
  it.each([
    ["Ambrel Post, no. 3914, page 2", "", "other", "Ambrel Post, no. 3914", "2"],
    ["Toll book, pp. 3 - 5", "", "other", "Toll book", "3-5"],
    ["Town website", "https://town.example", "web", "Town website", ""],
    ["Page 3", "", "other", "Page 3", ""],
  ])("%s (%s) is taken for %s", (title, address, kind, rest, page) =>
    expect(guessOf({ title, address })).toEqual({ kind, title: rest, address, page }),
  );

  it("taken apart is one source for all events that say the same, with its page; undone it is the line again", () => {
    const t = timeline();
    const done = takeApart(t, t.items.get("j")!, () => "new")!;
    const after = apply(t, done.ops).timeline;
    expect(after.sources.get("new")).toMatchObject({ kind: "other", title: "Ambrel Post, no. 3914" });
    for (const id of ["j", "k"]) {
      expect(after.items.get(id)).toMatchObject({ source: "new", page: "2", text: "" });
      expect(referenceText(after.sources, after.items.get(id)!)).toBe("Ambrel Post, no. 3914, p. 2");
    }
    const back = apply(after, invert(t, done.ops)).timeline;
    expect(back.items.get("k")).toEqual(t.items.get("k"));
    expect(back.sources.get("new")!.deleted).toBe(true);
  });

  it.each([
    ["12", "p. 12"],
    ["3-5", "pp. 3–5"],
    ["3, 7", "pp. 3, 7"],
    ["fol. 7r", "fol. 7r"],
  ])("page %s is written %s", (page, text) => expect(pageText(page)).toBe(text));
});

describe("a cell of sources", () => {
  it("pasted back alters nothing, and a line that is a source of the timeline names it, with its page", () => {
    const t = timeline();
    expect(cell(t, "a").split("\n")).toEqual([`${sourceText(BELL)}, p. 12`, "Ambrel Post, no. 3914, page 2"]);
    expect(fill(t, "a", cell(t, "a")).ops).toEqual([]);
    const { after } = fill(t, "b", cell(t, "a"));
    expect(cell(after, "b")).toBe(cell(t, "a"));
    const named = [...after.items.values()].filter((i) => i.of === "b" && !i.deleted);
    expect(named.map((i) => [i.source, i.page, i.text])).toContainEqual(["bell", "12", ""]);
  });

  it("a line that is changed is another line; the source and its other lines stay as they were", () => {
    const t = timeline();
    const { after } = fill(t, "a", `Another book\nAmbrel Post, no. 3914, page 2`);
    expect(cell(after, "a").split("\n").sort()).toEqual(["Ambrel Post, no. 3914, page 2", "Another book"]);
    expect(after.items.get("j")).toEqual(t.items.get("j"));
    expect(after.sources.get("bell")).toEqual(t.sources.get("bell"));
    expect(cell(fill(after, "a", "").after, "a")).toBe("");
  });
});

it("of deleted sources nothing is said, and each is listed once", () => {
  const t = timeline();
  const all = [...t.items.values()];
  expect(worksOf(t.sources, all).map((w) => [w.id.startsWith("line") ? "line" : w.id, w.references.length])).toEqual([
    ["bell", 1],
    ["line", 2],
  ]);
  const gone = new Map([["bell", { ...t.sources.get("bell")!, deleted: true }]]);
  expect(isCited(gone, t.items.get("i")!)).toBe(false);
  expect(worksOf(gone, all)).toHaveLength(1);
});
