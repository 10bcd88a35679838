import { languageLike } from "../language/asked-language";
import type { Language } from "../language/spoken";
import { sameValue } from "../text/same-value";
import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import { isInstant } from "../time/instant";
import { isDated, NO_DAY, startOf, type When } from "../time/when";
import { type Manner, USUAL_MANNER } from "../time/write-when";
import type { Timeline } from "./timeline";

/** The settings that say how dates are read. */
export type ReadSettings = Pick<Timeline, "dateOrder" | "hemisphere" | "margins" | "timesOn"> & { language?: string };

/** How dates are read in a timeline. */
export function readOptionsOf(t: ReadSettings): ReadOptions {
  const language = languageLike(t.language);
  return {
    order: t.dateOrder,
    hemisphere: t.hemisphere,
    margins: t.margins ?? {},
    day: silentDayOf(t.timesOn),
    ...(language === "en" ? {} : { language }),
  };
}

/** The day number that times alone belong to; null where none was said. */
function silentDayOf(timesOn: When | null): number | null {
  if (!timesOn) return null;
  return startOf(timesOn)?.day ?? NO_DAY;
}

/** How a timeline writes its dates: what was set, the day that goes without saying, and its language. The same settings give the same object. */
export function mannerOf(t: {
  dateStyle?: Manner | null;
  timesOn?: When | null;
  language?: string | undefined;
}): Manner {
  const manner = inItsLanguage(t.dateStyle ?? USUAL_MANNER, languageLike(t.language));
  const { timesOn } = t;
  const day = silentDayOf(timesOn ?? null);
  if (!timesOn || day === null) return manner;
  const known = manners.get(timesOn);
  if (known?.of === manner) return known.manner;
  const made = { ...manner, silentDay: day };
  manners.set(timesOn, { of: manner, manner: made });
  return made;
}

const manners = new WeakMap<When, { of: Manner; manner: Manner }>();

function inItsLanguage(manner: Manner, language: Language): Manner {
  if (language === "en") return manner;
  let known = spoken.get(manner);
  if (!known) spoken.set(manner, (known = new Map()));
  let made = known.get(language);
  if (!made) known.set(language, (made = { ...manner, language }));
  return made;
}

const spoken = new WeakMap<Manner, Map<Language, Manner>>();

/**
 * What a line or a date field is read with: in a timeline that has no date yet, times alone are taken to be hours of one day
 * that nobody has named (`settingsFor` then says so in the same change). `event`: the one whose date is read.
 */
export function readOptionsFor(t: ReadSettings & Pick<Timeline, "events">, event: string | null = null): ReadOptions {
  const options = readOptionsOf(t);
  return options.day === null && !hasDates(t.events, event) ? { ...options, day: NO_DAY } : options;
}

function hasDates(events: Timeline["events"], but: string | null): boolean {
  for (const e of events.values()) if (e.id !== but && !e.deleted && isDated(e.when)) return true;
  return false;
}

/** The ways a date may honestly have been read, beside the timeline's own: settings change while changes are under way. */
const WAYS: readonly ReadOptions[] = [
  ...(["dmy", "mdy", "ymd", null] as const).flatMap((order) =>
    (["north", "south"] as const).map((hemisphere) => ({ order, hemisphere })),
  ),
];

/**
 * A date as the reader of dates reads what was typed. What was sent along counts only where the reader gives the same in one of
 * its ways (an order of day and month, a day that a time alone belongs to); anything else is read anew. So nobody can
 * store a date that its text does not say. Width of "about" and place in the order are their author's.
 */
export function confirmReading(sent: When, options: ReadOptions): When {
  const said = { margin: sent.margin, ...(sent.place ? { place: sent.place } : {}) };
  const own = readWhen(sent.typed, options);
  if (sameReading(own, sent)) return { ...own, ...said };
  const day = dayOf(sent);
  for (const way of WAYS) {
    const read = readWhen(sent.typed, { ...way, day, today: day });
    if (sameReading(read, sent)) return { ...read, ...said };
  }
  return { ...own, ...said, margin: sent.margin ?? own.margin };
}

function sameReading(a: When, b: When): boolean {
  return sameValue(a.readAs, b.readAs) && a.edtf === b.edtf && a.calendar === b.calendar;
}

function dayOf({ readAs: r }: When): number | null {
  const at = r.kind === "moment" ? r.at.from : r.kind === "span" ? (r.start?.from ?? r.end?.from) : null;
  return at && isInstant(at) ? at.day : null;
}
