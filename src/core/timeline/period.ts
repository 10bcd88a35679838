import { compareInstants, endOf, isDated, type When } from "../time/when";
import { tongueOf } from "../time/tongues/tongues";
import { headlineLabel, type Manner, whenLabel } from "../time/write-when";
import type { TimelineEvent } from "./timeline";

/** The period in words: as it was set, or worked out from events in their order; "" where nothing has a date. */
export function periodText(period: When, events: readonly Pick<TimelineEvent, "when">[], manner: Manner): string {
  return isDated(period) ? whenLabel(period, manner) : workedOutText(events, manner);
}

/** From the first beginning to the last end: it does not end where the last event begins. */
export function workedOutText(events: readonly Pick<TimelineEvent, "when">[], manner: Manner): string {
  const dated = events.filter((e) => isDated(e.when));
  if (dated.length === 0) return "";
  const latest = dated.reduce((a, b) => (compareEnds(a.when, b.when) < 0 ? b : a));
  const first = headlineLabel(dated[0]!.when, manner);
  const last = goesOn(latest.when) ? tongueOf(manner.language).present : headlineLabel(ending(latest.when), manner);
  return first === last ? first : `${first} – ${last}`;
}

const goesOn = (w: When) => w.readAs.kind === "span" && w.readAs.end === null && w.readAs.unknown !== "end";

function compareEnds(a: When, b: When): number {
  if (goesOn(a) || goesOn(b)) return Number(goesOn(a)) - Number(goesOn(b));
  const [x, y] = [endOf(a), endOf(b)];
  return x && y ? compareInstants(x, y) : Number(Boolean(x)) - Number(Boolean(y));
}

/** The last date an event names, as a date of its own. */
function ending(when: When): When {
  const r = when.readAs;
  return r.kind === "span" && r.end ? { ...when, readAs: { kind: "moment", at: r.end } } : when;
}
