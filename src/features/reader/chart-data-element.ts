import type { Family } from "@/core/text/families";
import type { FamilyTable } from "@/core/text/font-tables/family-table";
import { knowFamily, tableOfFamily } from "@/core/text/measure";
import { type Frozen, type FrozenEvent, timelineFromFrozen } from "@/core/formats/frozen";
import { firstWords } from "@/core/text/first-words";
import { MOST_WORDED } from "@/core/timeline/looks";
import type { Timeline } from "@/core/timeline/timeline";

/** The id of the element that holds what the chart on a reader's page is drawn from. */
export const CHART_DATA = "chart-data";

const HOUSE: Family = "hyperlegible";

/** What the chart needs of a frozen timeline, as text that may stand in a script element. */
export function chartDataText(f: Frozen, family: Family): string {
  const worded = f.events.length <= MOST_WORDED && f.labelWords !== "none";
  const chart: Frozen = {
    ...f,
    introduction: [],
    closing: [],
    chapters: (f.chapters ?? []).map((c) => ({ ...c, description: [] })),
    events: f.events.map(
      (e): FrozenEvent => ({ ...e, description: worded ? paragraphOf(firstWords(e.description)) : [] }),
    ),
    sources: [],
    items: f.items
      .filter((i) => i.list === "back" || (i.list !== "source" && i.of !== "timeline"))
      .map((i) => ({ ...i, text: "", caption: "", credit: "", licence: "", address: "" })),
  };
  // The page's script knows the house's type; of any other the widths come along.
  const faces = family === HOUSE ? {} : { faces: { family, table: tableOfFamily(family) } };
  return JSON.stringify({ ...chart, ...faces }).replaceAll("<", "\\u003c");
}

function paragraphOf(text: string): FrozenEvent["description"] {
  return text ? [{ kind: "paragraph", content: [{ kind: "text", text, marks: [] }] }] : [];
}

/** What a reader's page knows of its timeline. */
export type ReaderTimeline = Timeline;

export function readChartData(text: string): ReaderTimeline {
  const { faces, ...frozen } = JSON.parse(text) as Frozen & { faces?: { family: Family; table: FamilyTable } };
  if (faces) knowFamily(faces.family, faces.table);
  return timelineFromFrozen(frozen);
}

/** The element a page holds the chart's worker in, where it cannot be loaded from elsewhere. */
export const WORKER_IN_PAGE = "chart-worker";
