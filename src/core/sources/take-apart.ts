import type { Op } from "../change/change";
import type { SourceKind } from "../timeline/fields";
import type { Item, Timeline } from "../timeline/timeline";
import { type SourceValues, sourceOf, workOf } from "./cited";

/** What a source written in one line is taken to be, until somebody says otherwise: a page at its end is where in it. */
export function guessOf(line: Pick<SourceValues, "title" | "address">): {
  kind: SourceKind;
  title: string;
  address: string;
  page: string;
} {
  const at = /^(.*?)[,;.]?\s+(?:p|pp|page|pages)\b\.?\s*(\d+(?:\s*[-–,]\s*\d+)*)\s*\.?$/iu.exec(line.title.trim());
  return {
    kind: line.address.trim() ? "web" : "other",
    title: at?.[1] || line.title.trim(),
    address: line.address.trim(),
    page: at?.[1] ? at[2]!.replaceAll(/\s/g, "") : "",
  };
}

/**
 * The steps that make fields of an entry's line: a source of the timeline, which every entry of the same line names from then on. Of a
 * line that is a source already its kind is set. Gives the source's id.
 */
export function takeApart(t: Timeline, item: Item, newId: () => string): { ops: Op[]; id: string } | null {
  const line = sourceOf(t.sources, item);
  if (line?.kind !== "line") return null;
  const guess = guessOf(line);
  const ops: Op[] = [];
  const id = item.source ?? newId();
  if (item.source === null)
    ops.push({ kind: "add_source", id, fields: { kind: guess.kind, title: guess.title, address: guess.address } });
  else
    ops.push(
      { kind: "set_source", id, field: "kind", value: guess.kind },
      { kind: "set_source", id, field: "title", value: guess.title },
    );
  const work = workOf(item);
  for (const i of t.items.values()) {
    if (i.deleted || i.list !== "source" || workOf(i) !== work) continue;
    if (i.source === null)
      ops.push(
        { kind: "set_item", id: i.id, field: "source", value: id },
        { kind: "set_item", id: i.id, field: "text", value: "" },
        { kind: "set_item", id: i.id, field: "address", value: "" },
      );
    if (guess.page && !i.page) ops.push({ kind: "set_item", id: i.id, field: "page", value: guess.page });
  }
  return { ops, id };
}
