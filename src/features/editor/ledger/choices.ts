import type { LedgerColumn } from "@/core/ledger/columns";
import { tagsIn } from "@/core/ledger/look-at";
import { whenLabel } from "@/core/time/write-when";
import { SIGNS } from "@/core/timeline/looks";
import { wholesFor } from "@/core/timeline/parts";
import { mannerOf } from "@/core/timeline/read-options";
import { categoriesOf, type Timeline } from "@/core/timeline/timeline";
import type { Choice } from "./cell-editor";

/** What a cell is chosen from; null where its text is free. */
export function choicesFor(
  t: Timeline,
  id: string,
  column: LedgerColumn,
): ((text: string) => readonly Choice[]) | null {
  const having = (all: readonly Choice[], text: string) => {
    const wanted = text.trim().toLowerCase();
    return all.filter((c) => c.value.toLowerCase().includes(wanted)).slice(0, 200);
  };
  switch (column) {
    case "category": {
      const all = [{ value: "" }, ...categoriesOf(t).map((c) => ({ value: c.name }))];
      return (text) => having(all, text);
    }
    case "partOf": {
      const { holding, others } = wholesFor(t, id);
      const all = [
        { value: "", note: "" },
        ...[...holding, ...others]
          .filter((e) => e.title)
          .map((e) => ({ value: e.title, note: whenLabel(e.when, mannerOf(t)) })),
      ];
      return (text) => having(all, text);
    }
    case "sign": {
      const all = [{ value: "" }, ...SIGNS.map((value) => ({ value }))];
      return (text) => having(all, text);
    }
    case "tags": {
      const all = tagsIn(t.events.values()).map(({ tag, events }) => ({ value: tag, note: String(events) }));
      return (text) => {
        const own = new Set(text.split(",").map((x) => x.trim().toLowerCase()));
        return having(
          all.filter((c) => !own.has(c.value.toLowerCase())),
          text.split(",").at(-1) ?? "",
        );
      };
    }
    case "place": {
      const all = [...new Set([...t.events.values()].flatMap((e) => (e.place && !e.deleted ? [e.place] : [])))];
      return (text) =>
        text.trim() === ""
          ? []
          : having(
              all.filter((p) => p !== text).map((value) => ({ value })),
              text,
            );
    }
    default:
      return null;
  }
}
