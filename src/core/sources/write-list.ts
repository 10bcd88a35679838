import type { SourceManner } from "../timeline/fields";
import { pageText, sourceText, type Work } from "./cited";
import { type CitationStyles, citationStyles } from "./processor";
import { toCsl } from "./csl-json";
import { type Run, runsOf } from "./runs";

/** One line of the list of sources. */
export interface ListEntry {
  /** The work's id. */
  id: string;
  runs: Run[];
  /** Its number where the list is numbered. */
  number: number | null;
}
export interface SourceList {
  entries: ListEntry[];
  /** How an event names a work: "(Bell, 1872, p. 4)", "[3], p. 4"; null: by its whole line. */
  cite: (work: string, page: string) => string | null;
}

type Listed = Pick<Work, "id" | "source">;

/** The styles by what they are called in the processor (CSL 1.0.2). */
const STYLE: Record<SourceManner, string> = { apa: "apa", harvard: "harvard1", numbered: "vancouver" };
const LOCALES = ["en-US", "de-DE", "es-ES", "fr-FR", "nl-NL"];
const COLLATOR = new Intl.Collator("en", { sensitivity: "base", numeric: true });

/**
 * The list of sources in a manner, written by a CSL processor: by author and date in the order of the alphabet, or numbered in the
 * order of `works`. A line stands in it as it was written. `language`: as BCP 47 names it; where the processor has no words of it
 * they are English.
 */
export async function writeList(works: readonly Listed[], manner: SourceManner, language = "en"): Promise<SourceList> {
  const apart = works.filter((w) => w.source.kind !== "line");
  const locale = LOCALES.find((l) => l.slice(0, 2) === language.slice(0, 2)) ?? LOCALES[0]!;
  const written = new Map<string, Run[]>();
  let engine: ReturnType<CitationStyles["engine"]> | null = null;
  try {
    if (apart.length > 0) {
      const items = apart.map((w) => toCsl(w.id, w.source));
      engine = (await citationStyles()).engine(items, STYLE[manner], locale, "html");
      engine.updateItems(items.map((i) => i.id));
      const [head, bodies] = engine.makeBibliography() || [{ entry_ids: [] }, []];
      for (const [n, ids] of head.entry_ids.entries()) written.set(ids[0]!, runsOf(bodies[n]!));
    }
  } catch (error) {
    // An entry that the processor cannot take must not take the others' list away.
    console.warn("The processor of citations failed; sources are written plainly.", error);
    engine = null;
  }
  const runs = (w: Listed) => written.get(w.id) ?? [{ text: sourceText(w.source) }];
  const numbered = manner === "numbered";
  const number = new Map(works.map((w, i) => [w.id, i + 1]));
  const byId = new Map(works.map((w) => [w.id, w]));
  const entries = (numbered ? works : inAlphabet(works, [...written.keys()], runs)).map((w) => ({
    id: w.id,
    runs: runs(w),
    number: numbered ? number.get(w.id)! : null,
  }));
  return {
    entries,
    cite: (id, page) => {
      const work = byId.get(id);
      if (!work) return null;
      const where = page.trim() ? pageText(page) : "";
      if (numbered) return [`[${number.get(id)}]`, where].filter(Boolean).join(", ");
      if (work.source.kind === "line" || !engine || !written.has(id)) return null;
      const said = runsOf(engine.makeCitationCluster([{ id }]))
        .map((r) => r.text)
        .join("");
      return where ? said.replace(/\)?$/, (end) => `, ${where}${end}`) : said;
    },
  };
}

/** The processor's own order, with lines where the alphabet has them. */
function inAlphabet(works: readonly Listed[], order: readonly string[], runs: (w: Listed) => Run[]): Listed[] {
  const byId = new Map(works.map((w) => [w.id, w]));
  const text = (w: Listed) =>
    runs(w)
      .map((r) => r.text)
      .join("");
  const done = order.map((id) => byId.get(id)!);
  const others = works.filter((w) => !order.includes(w.id)).sort((a, b) => COLLATOR.compare(text(a), text(b)));
  for (const w of others) {
    const at = done.findIndex((d) => COLLATOR.compare(text(d), text(w)) > 0);
    done.splice(at < 0 ? done.length : at, 0, w);
  }
  return done;
}
