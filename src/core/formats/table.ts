import { WORDS as COMMON } from "../words/common";
import Papa from "papaparse";
import { MOST } from "../change/limits";
import type { Block } from "../text/description";
import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import { isDated, UNDATED } from "../time/when";
import { between } from "../timeline/place";
import { holds } from "../timeline/parts";
import { type Category, emptyCategory, emptyEvent, emptyItem, emptyTimeline, nextLook } from "../timeline/timeline";
import { asWritten } from "./full-table";
import { readFullTable } from "./read-full-table";
import { type Frozen, type FrozenEvent, toFrozen } from "./frozen";
import { LIMIT_SENTENCES } from "../words/limits";

/** The columns of a table of events; others are not read. */
const COLUMNS = ["When", "Title", "Category", "Part of", "Description", "Source", "Link", "Picture", "Credit"] as const;
type Column = (typeof COLUMNS)[number];

const paragraph = (text: string): Block => ({ kind: "paragraph", content: [{ kind: "text", text, marks: [] }] });
const paragraphs = (text: string): Block[] =>
  text
    .split(/\n\s*\n/)
    .filter((p) => p.trim())
    .map((p) => paragraph(p.trim()));

const MOST_NAMESAKES = 100;

/**
 * Reads a table (RFC 4180, with a header line) as a timeline. The id of an event is the number of its record, from 1. A date
 * that is not understood counts as none; what has no date stands after the dated record above it. Several sources or links
 * in one cell stand in lines of their own. Gives a sentence when the header has neither When nor Title.
 */
export function readTable(
  text: string,
  options: ReadOptions = {},
  most: "tableRows" | "drawn" = "tableRows",
): { frozen: Frozen } | { problem: string } {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: true });
  const timeline = emptyTimeline("table");
  const [header, ...records] = data;
  const empty = toFrozen(timeline);
  if (!header) return { frozen: empty };
  // A table that Fastigo wrote says everything itself.
  const whole = readFullTable(
    header.map(asWritten),
    records.map((r) => r.map(asWritten)),
  );
  if (whole) return { frozen: whole };
  if (records.length > MOST[most].most) return { problem: LIMIT_SENTENCES[most] };
  const at = new Map<Column, number>();
  for (const c of COLUMNS) {
    const i = header.findIndex((h) => h.trim().toLowerCase() === c.toLowerCase());
    if (i >= 0) at.set(c, i);
  }
  if (!at.has("When") && !at.has("Title"))
    return {
      problem: COMMON.json.noColumns(header.join(", ").slice(0, 120)),
    };
  const cell = (r: string[], c: Column) => r[at.get(c) ?? -1]?.trim() ?? "";

  const categories = new Map<string, Category>();
  const categoryOf = (name: string): string | null => {
    if (!name) return null;
    const known = [...categories.values()].find((c) => c.name.toLowerCase() === name.toLowerCase());
    if (known) return known.id;
    const id = `c${categories.size + 1}`;
    const used = [...categories.values()];
    categories.set(id, {
      ...emptyCategory(id),
      name,
      ...nextLook(used),
      place: between(used.at(-1)?.place ?? null, null),
    });
    return id;
  };
  let anchor: string | null = null;
  let key: string | null = null;
  const items: Frozen["items"] = [];
  const addItem = (of: string, part: Partial<Frozen["items"][number]>) => {
    const { deleted: _, ...item } = {
      ...emptyItem(`i${items.length + 1}`),
      of,
      place: between(items.at(-1)?.place ?? null, null),
      ...part,
    };
    items.push(item);
  };
  const events = records.map((r, i): FrozenEvent => {
    const id = String(i + 1);
    const when = readWhen(cell(r, "When"), options);
    if (isDated(when)) {
      anchor = id;
      key = null;
    } else key = between(key, null);
    const { deleted: _, ...event } = emptyEvent(id);
    for (const line of cell(r, "Source").split("\n").filter(Boolean)) addItem(id, { list: "source", text: line });
    for (const line of cell(r, "Link").split(/\s+/).filter(Boolean)) addItem(id, { list: "link", address: line });
    const picture = cell(r, "Picture");
    if (picture) addItem(id, { list: "media", kind: "picture", address: picture, credit: cell(r, "Credit") });
    return {
      ...event,
      title: cell(r, "Title"),
      when: isDated(when) ? when : { ...(when.typed ? when : UNDATED), place: { after: anchor, key: key ?? "" } },
      category: categoryOf(cell(r, "Category")),
      description: paragraphs(cell(r, "Description")),
    };
  });
  const titled = new Map<string, FrozenEvent[]>();
  for (const e of events) {
    const list = e.title ? titled.get(e.title) : undefined;
    // Of very many with one title the first are enough to choose from.
    if (list && list.length < MOST_NAMESAKES) list.push(e);
    else if (e.title && !list) titled.set(e.title, [e]);
  }
  for (const [i, r] of records.entries()) {
    // Of several with that title the one that holds it.
    const named = (titled.get(cell(r, "Part of")) ?? []).filter((e) => e !== events[i]);
    events[i]!.partOf = (named.find((e) => holds(e, events[i]!)) ?? named[0])?.id ?? null;
  }
  return {
    frozen: { ...empty, categories: [...categories.values()].map(({ deleted: _, ...c }) => c), events, items },
  };
}
