import { linesOf, readSourceLine, readTags, readYes } from "../ledger/read-cell";
import type { Block } from "../text/description";
import { readWhen } from "../time/read/read-when";
import { isDated } from "../time/when";
import { type Sign, SIGNS } from "../timeline/looks";
import { between } from "../timeline/place";
import { readOptionsOf } from "../timeline/read-options";
import { emptyCategory, emptyItem, nextLook } from "../timeline/timeline";
import type { Frozen, FrozenEvent } from "./frozen";
import { cellSources, cellsOf, FIELDS, FULL_COLUMNS, type FullColumn, itemsOf, TIMELINE_ROW } from "./full-table";
import { readJson } from "./read-json";

/**
 * A timeline out of a table with everything, as Fastigo writes it: `header` and `rows` as they lie, `fieldsOf` the JSON of a row by
 * its id where a sheet of its own holds it. What the JSON says counts as long as the cells still say the same; a cell that was
 * written anew counts itself, and a row without JSON is a new event. Null for a table of anything else.
 */
export function readFullTable(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  fieldsOf?: ReadonlyMap<string, string>,
): Frozen | null {
  const at = (name: string) => header.findIndex((h) => h.trim() === name);
  const [idAt, fieldsAt] = [at("Id"), at(FIELDS)];
  if (idAt < 0 || (fieldsAt < 0 && !fieldsOf)) return null;
  const json = rows.map((r) => objectOf(fieldsOf?.get(r[idAt]?.trim() ?? "") ?? r[fieldsAt]));
  const itself = fieldsOf
    ? objectOf(fieldsOf.get(TIMELINE_ROW))
    : json[rows.findIndex((r) => r[idAt]?.trim() === TIMELINE_ROW)];
  if (!itself) return null;
  const events = rows.flatMap((r, n) => (json[n] && r[idAt]?.trim() !== TIMELINE_ROW ? [json[n]!] : []));
  const listed = (v: unknown) => (Array.isArray(v) ? v : []) as Record<string, unknown>[];
  const read = readJson(
    JSON.stringify({
      ...itself,
      events: events.map(({ items: _, ...e }) => e),
      items: [...listed(itself.items), ...events.flatMap((e) => listed(e.items))],
    }),
  );
  if ("problem" in read) return null;
  const { frozen } = read;
  const kept = new Map(frozen.events.map((e) => [e.id, e]));
  const place = (r: readonly string[], c: FullColumn) => r[at(c)] ?? "";
  const altered = new Altered(frozen);
  const made: { event: FrozenEvent; row: readonly string[] }[] = [];
  for (const r of rows) {
    const id = r[idAt]?.trim() ?? "";
    if (id === TIMELINE_ROW || r.every((c) => !c.trim())) continue;
    const known = kept.get(id);
    kept.delete(id);
    made.push({ event: known ?? altered.add(), row: r });
  }
  // What is not in the table any more is gone from it.
  frozen.events = made.map((m) => m.event);
  const gone = new Set(kept.keys());
  frozen.items = frozen.items.filter((i) => !gone.has(i.of));
  altered.begin();
  for (const { event, row } of made) {
    const now = altered.cells(event);
    for (const c of FULL_COLUMNS) {
      if (at(c) < 0 || same(place(row, c), now[c])) continue;
      altered.put(event, c, place(row, c));
    }
  }
  altered.finish();
  return frozen;
}

/** So much of a long text is compared: some programs cut cells. */
const COMPARED = 30_000;
const words = (text: string) => text.replaceAll(/\s+/g, " ").trim().slice(0, COMPARED);
const same = (a: string, b: string) => words(a) === words(b);

function objectOf(text: string | undefined): Record<string, unknown> | null {
  if (!text?.trim().startsWith("{")) return null;
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === "object" && value !== null ? (value as Record<string, unknown>) : null;
  } catch {
    return null;
  }
}

/** Writes cells into a frozen timeline. */
class Altered {
  private readonly frozen: Frozen;
  private count = 0;
  private taken: Set<string> | null = null;
  private byTitle: Map<string, FrozenEvent[]> | null = null;
  /** Lists that were written anew, by their owner, and what stands in them now. */
  private readonly rewritten = new Set<string>();
  private readonly entries: Frozen["items"] = [];
  private sources = null as unknown as ReturnType<typeof cellSources>;
  private items = null as unknown as ReturnType<typeof itemsOf>;
  constructor(frozen: Frozen) {
    this.frozen = frozen;
  }

  /** What cells said before any is altered. */
  begin(): void {
    this.sources = cellSources(this.frozen);
    this.items = itemsOf(this.frozen);
  }

  cells(e: FrozenEvent): Record<FullColumn, string> {
    return cellsOf(this.sources, e, this.items(e.id));
  }

  add(): FrozenEvent {
    const read = readJson(JSON.stringify({ events: [{ id: this.newId("e") }] })) as { frozen: Frozen };
    const [event] = read.frozen.events;
    return { ...event!, when: { ...event!.when, place: { after: null, key: between(null, null) } } };
  }

  private newId(kind: string): string {
    this.taken ??= new Set([...this.frozen.events, ...this.frozen.items, ...this.frozen.categories].map((r) => r.id));
    for (;;) {
      const id = `${kind}n${++this.count}`;
      if (!this.taken.has(id)) return id;
    }
  }

  put(e: FrozenEvent, column: FullColumn, cell: string): void {
    const text = cell.trim();
    switch (column) {
      case "When": {
        const read = readWhen(text, { ...readOptionsOf(this.frozen), sentence: false });
        e.when = isDated(read) || !e.when.place ? read : { ...read, place: e.when.place };
        return;
      }
      case "Title":
        e.title = text;
        return;
      case "Short title":
        e.shortTitle = text;
        return;
      case "Place":
        e.place = text;
        return;
      case "Private note":
        e.note = text;
        return;
      case "Category":
        e.category = text ? this.categoryOf(text) : null;
        return;
      case "Part of":
        // Of those with that title the first that is another one.
        e.partOf = this.titled(text).find((w) => w !== e)?.id ?? null;
        return;
      case "Tags":
        e.tags = readTags(text).tags;
        return;
      case "Description":
        e.description = text
          .split(/\n\s*\n/)
          .flatMap((p): Block[] =>
            p.trim() ? [{ kind: "paragraph", content: [{ kind: "text", text: p.trim(), marks: [] }] }] : [],
          );
        return;
      case "Source":
      case "Link":
        this.putLines(e.id, column === "Source" ? "source" : "link", text);
        return;
      case "Important":
        e.emphasis = readYes(text) ?? e.emphasis;
        return;
      case "Sign":
        if (text === "" || (SIGNS as readonly string[]).includes(text)) e.sign = text as Sign | "";
        return;
      case "Percent done": {
        const n = /^(\d{1,3})\s*%?$/.exec(text);
        e.done = n && Number(n[1]) <= 100 ? Number(n[1]) : null;
        return;
      }
      default:
        // Pictures, credits and counts are told by the entries themselves.
        return;
    }
  }

  private putLines(of: string, list: "source" | "link", text: string): void {
    this.rewritten.add(`${list} ${of}`);
    let last: string | null = null;
    for (const line of linesOf(text)) {
      last = between(last, null);
      const { deleted: _, ...item } = { ...emptyItem(this.newId("i")), of, list, place: last, ...readSourceLine(line) };
      this.entries.push(item);
    }
  }

  private titled(title: string): readonly FrozenEvent[] {
    if (!this.byTitle) {
      this.byTitle = new Map();
      for (const e of this.frozen.events) {
        const list = this.byTitle.get(e.title);
        if (list) list.push(e);
        else this.byTitle.set(e.title, [e]);
      }
    }
    return this.byTitle.get(title) ?? [];
  }

  /** Takes over the lists that were written anew. */
  finish(): void {
    if (this.rewritten.size === 0) return;
    this.frozen.items = [...this.frozen.items.filter((i) => !this.rewritten.has(`${i.list} ${i.of}`)), ...this.entries];
  }

  private categoryOf(name: string): string {
    const { categories } = this.frozen;
    const known = categories.find((c) => c.name.trim().toLowerCase() === name.toLowerCase());
    if (known) return known.id;
    const used = categories.map((c) => ({ ...c, deleted: false }));
    const { deleted: _, ...made } = {
      ...emptyCategory(this.newId("c")),
      name,
      ...nextLook(used),
      place: between(categories.at(-1)?.place ?? null, null),
    };
    categories.push(made);
    return made.id;
  }
}
