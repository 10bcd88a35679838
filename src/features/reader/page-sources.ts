import type { Frozen } from "@/core/formats/frozen";
import { answerList } from "@/core/sources/asked";
import { workOf, worksOf } from "@/core/sources/cited";
import type { PageSources } from "./page-input";

/** Writes the list of sources of a frozen timeline, in the manner and language it says. */
export async function pageSources(frozen: Frozen): Promise<PageSources> {
  const order = new Map(["timeline", ...frozen.events.map((e) => e.id)].map((id, i) => [id, i]));
  const named = frozen.items
    .filter((i) => i.list === "source" && order.has(i.of))
    .sort((a, b) => order.get(a.of)! - order.get(b.of)!);
  const works = worksOf(new Map((frozen.sources ?? []).map((s) => [s.id, s])), named);
  const references = works.flatMap((w) => w.references);
  const { entries, cited } = await answerList({
    works,
    manner: frozen.sourceManner ?? "apa",
    language: frozen.language ?? "en",
    cited: references.map((r) => ({ work: workOf(r), page: r.page ?? "" })),
  });
  const byId = new Map(works.map((w) => [w.id, w]));
  const anchors = new Map(entries.map((e, i) => [e.id, `s-${i + 1}`]));
  const texts = new Map(references.map((r, i) => [r.id, cited[i] ?? null]));
  return {
    entries: entries.map((e) => ({
      anchor: anchors.get(e.id)!,
      runs: e.runs,
      number: e.number,
      address: byId.get(e.id)!.source.address,
      of: [...new Set(byId.get(e.id)!.references.map((r) => r.of))],
    })),
    cited: (item) => {
      const work = byId.get(workOf(item));
      return work ? { text: texts.get(item.id) ?? null, anchor: anchors.get(work.id)!, work } : null;
    },
  };
}
