import type { Timeline } from "../../timeline/timeline";
import { makeAxis } from "../axis/axis";
import { plainAt, positions } from "../axis/positions";
import { chartData, INNER_START, OUTER_START, shownEvents, SPAN_KIND } from "../data/chart-data";

/** Where each event stands along the whole ridge, from 0 to 1: a moment's apex, a span's beginning. */
export function placesAlong(timeline: Timeline): Map<string, number> {
  const data = chartData(timeline, shownEvents(timeline));
  const axis = makeAxis(timeline, data);
  const p = positions(data, axis);
  return new Map(
    data.ids.map((id, i) => [id, plainAt(p, i, data.kind[i] === SPAN_KIND ? OUTER_START : INNER_START) / axis.length]),
  );
}
