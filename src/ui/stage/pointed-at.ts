import { pointedAt, type Pointed } from "@/core/chart/axis/look-at";
import type { Chart } from "@/core/chart/frame/chart";
import type { Part } from "@/core/chart/frame/frame";
import type { ShownCount } from "@/core/chart/frame/shown";
import { countedIds } from "@/core/chart/draw/targets";
import { firstCounted } from "@/core/chart/labels/counts";
import { inBox, partAt } from "@/core/chart/pointing/standing";
import { dateAt } from "@/core/chart/ticks/date-at";

/** What lies under a pointer at an empty place: the roof of a close-up (its whole), or a place on a ridge; null: neither. */
export type EmptyPlace = { whole: string } | { place: Pointed; within: string | null } | null;

export function emptyPlaceAt(chart: Chart, parts: readonly Part[], x: number, y: number): EmptyPlace {
  const part = partAt(chart, parts, x, y);
  if (!part) {
    const head = chart.closeUps.find((c) => inBox(c, x, y));
    return head ? { whole: chart.data.ids[head.whole]! } : null;
  }
  const { laid, content, closeUp } = part;
  const along = content.ground.upright ? y - part.top : x - part.left;
  const within = closeUp < 0 ? null : chart.data.ids[chart.closeUps[closeUp]!.whole]!;
  // Of rows the ridge is the one over them.
  const of = chart.lanes ? chart.laid : laid;
  return { place: pointedAt(of, content.ground, content.view, along, chart.words.manner), within };
}

/** The reading line at a place: its date, from where to where it goes, px; null where no ridge is, or the ridge runs down. */
export function readingAt(
  chart: Chart,
  parts: readonly Part[],
  x: number,
  y: number,
): { date: string | null; top: number; ridgeTop: number; foot: number | null } | null {
  const part = partAt(chart, parts, x, y);
  if (!part || part.content.ground.upright) return null;
  const { content, laid } = part;
  const of = chart.lanes ? chart.laid : laid;
  const top = chart.lanes ? 0 : part.top;
  return {
    date: dateAt(content.ground, content.view, x - part.left, chart.words.manner),
    top,
    ridgeTop: top + of.layout.ridgeTop,
    foot: part.closeUp < 0 ? null : top + laid.layout.across,
  };
}

/** The events of the count whose first event is named, and the part it stands in; its button knows the first only. */
export function countFrom(parts: readonly Part[], first: string): { part: Part; ids: string[] } | null {
  for (const part of parts)
    for (const c of part.content.counts) if (isFirst(part, c, first)) return { part, ids: countedIds(part, c) };
  return null;
}

/** Whether an event is the first that a count stands for. */
function isFirst({ laid, content }: Part, c: ShownCount, id: string): boolean {
  return laid.data.ids[laid.layout.byApex[firstCounted(laid, content.ground, content.view, content.labels, c)]!] === id;
}
