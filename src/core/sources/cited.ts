import { whenLabel } from "../time/write-when";
import { isDated } from "../time/when";
import type { Manner } from "../time/write-when";
import { USUAL_MANNER } from "../time/write-when";
import { emptyOf, type ITEM, SOURCE, type SourceKind, type ValuesOf } from "../timeline/fields";

export type SourceValues = ValuesOf<typeof SOURCE>;
/** An entry of an event's sources: which source, where in it, and its words. */
export type Reference = Pick<ValuesOf<typeof ITEM>, "of" | "source" | "page" | "quote" | "text" | "address">;
type Sources = ReadonlyMap<string, SourceValues & { deleted?: boolean }>;

const NO_SOURCE = emptyOf(SOURCE);

/** The fields that each kind of source asks for, beside its title, in the order they are asked. */
export const FIELDS_OF: Record<Exclude<SourceKind, "line">, readonly (keyof SourceValues)[]> = {
  book: ["authors", "within", "publisher", "place", "date", "pages", "address", "lookedUp", "callNumber"],
  article: ["authors", "within", "volume", "issue", "pages", "date", "address", "lookedUp"],
  newspaper: ["authors", "within", "date", "issue", "pages", "place", "address", "lookedUp"],
  web: ["authors", "within", "date", "address", "lookedUp"],
  archive: ["authors", "within", "place", "date", "callNumber", "address", "lookedUp"],
  film: ["authors", "within", "publisher", "place", "date", "address", "lookedUp"],
  interview: ["authors", "within", "place", "date", "address", "lookedUp"],
  object: ["authors", "within", "place", "date", "callNumber", "address", "lookedUp"],
  other: [
    "authors",
    "within",
    "volume",
    "issue",
    "pages",
    "publisher",
    "place",
    "date",
    "address",
    "lookedUp",
    "callNumber",
  ],
};

/** What an entry names: its source, or the line that stands in it; null where its source has been deleted or it says nothing. */
export function sourceOf(sources: Sources, ref: Reference): SourceValues | null {
  if (ref.source !== null && ref.source !== undefined) {
    const found = sources.get(ref.source);
    return found && !found.deleted ? found : null;
  }
  if (!ref.text.trim() && !ref.address.trim()) return null;
  return { ...NO_SOURCE, title: ref.text, address: ref.address };
}

/** Whether an entry of an event's sources says anything. */
export function isCited(sources: Sources, ref: Reference): boolean {
  const found = sourceOf(sources, ref);
  return found !== null && sourceText(found) !== "";
}

/**
 * A source in one line of our own, without a citation style: for cells, for finding, and where a style cannot be had. A line stands as
 * it was written.
 */
export function sourceText(s: SourceValues, manner: Manner = USUAL_MANNER): string {
  const one = (text: string) => text.trim().replaceAll(/\s*\n\s*/g, " ");
  if (s.kind === "line") return [one(s.title), s.address.trim()].filter(Boolean).join(" ");
  const numbers = [s.volume.trim(), s.issue.trim() ? `no. ${s.issue.trim()}` : ""].filter(Boolean).join(", ");
  const body = [
    s.authors.length > 0 ? `${s.authors.join("; ")}:` : "",
    [
      one(s.title),
      [one(s.within), numbers].filter(Boolean).join(" "),
      one(s.publisher),
      one(s.place),
      isDated(s.date) ? whenLabel(s.date, manner) : s.date.typed.trim(),
      s.pages.trim() ? pageText(s.pages) : "",
      one(s.callNumber),
    ]
      .filter(Boolean)
      .join(", "),
  ]
    .filter(Boolean)
    .join(" ");
  return [body, s.address.trim()].filter(Boolean).join(" ");
}

/** Where in a source, in words: numbers of pages get their "p.", what was written otherwise stands as it is. */
export function pageText(page: string): string {
  const text = page.trim();
  if (/^\d+$/.test(text)) return `p. ${text}`;
  return /^\d+\s*[-–,]\s*\d+(\s*[-–,]\s*\d+)*$/.test(text) ? `pp. ${text.replaceAll(/\s*-\s*/g, "–")}` : text;
}

/** An entry in one line: its source, and where in it. */
export function referenceText(sources: Sources, ref: Reference, manner?: Manner): string {
  const source = sourceOf(sources, ref);
  if (!source) return "";
  return [sourceText(source, manner), ref.page ? pageText(ref.page) : ""].filter(Boolean).join(", ");
}

/** Entries a line each, without those that say nothing. */
export function referencesText(sources: Sources, refs: readonly Reference[]): string {
  return refs
    .map((ref) => referenceText(sources, ref))
    .filter(Boolean)
    .join("\n");
}

/** One source with everything that names it, in the order they were given. */
export interface Work<R extends Reference = Reference> {
  /** The source's id; of a line that stands for itself a key of its own, the same for the same line. */
  id: string;
  source: SourceValues;
  references: R[];
}

/** The sources that some entries name, each once, in the order they are named first. */
export function worksOf<R extends Reference>(sources: Sources, references: readonly R[]): Work<R>[] {
  const works = new Map<string, Work<R>>();
  for (const ref of references) {
    const source = sourceOf(sources, ref);
    if (!source || sourceText(source) === "") continue;
    const id = workOf(ref);
    const known = works.get(id);
    if (known) known.references.push(ref);
    else works.set(id, { id, source, references: [ref] });
  }
  return [...works.values()];
}

/** The work an entry belongs to, as `worksOf` names it. */
export function workOf(ref: Reference): string {
  return ref.source ?? `line ${ref.text.trim().toLowerCase()} ${ref.address.trim()}`;
}
