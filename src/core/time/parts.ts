import { civilFrom } from "./calendar";
import type { Language } from "../language/spoken";
import type { Tongue } from "./tongues/tongue";
import { tongueOf } from "./tongues/tongues";
import { isTimeAlone, type Moment, type When } from "./when";
import { clock } from "./write-when";

/** One end of a date as separate parts; "" for what is not said. */
export interface EndParts {
  year: string;
  era: "AD" | "BC";
  /** 1 to 12, or "". */
  month: string;
  day: string;
  time: string;
  about: boolean;
  uncertain: boolean;
  /** Goes on, or nobody knows. */
  open: boolean;
}

export interface Parts {
  span: boolean;
  julian: boolean;
  start: EndParts;
  end: EndParts;
}

const EMPTY: EndParts = {
  year: "",
  era: "AD",
  month: "",
  day: "",
  time: "",
  about: false,
  uncertain: false,
  open: false,
};

/** Takes a date apart, as far as parts can say it. */
export function partsOf(when: When): Parts {
  const r = when.readAs;
  const julian = when.calendar === "julian";
  const one = (m: Moment | null): EndParts => (m ? endParts(m, when) : { ...EMPTY, open: true });
  if (r.kind === "moment") return { span: false, julian, start: one(r.at), end: EMPTY };
  if (r.kind === "span") return { span: true, julian, start: one(r.start), end: one(r.end) };
  return { span: false, julian, start: EMPTY, end: EMPTY };
}

function endParts(m: Moment, when: When): EndParts {
  const at = m.from ?? m.to;
  if (!at) return EMPTY;
  if (isTimeAlone(when)) return { ...EMPTY, time: clock(at), about: m.about, uncertain: m.uncertain };
  const { year, month, day } = civilFrom(when.calendar, at.day);
  const fine = ["day", "hour", "minute", "second"].includes(m.precision);
  return {
    year: String(year < 1 ? 1 - year : year),
    era: year < 1 ? "BC" : "AD",
    month: fine || m.precision === "month" ? String(month) : "",
    day: fine ? String(day) : "",
    time: ["hour", "minute", "second"].includes(m.precision) ? clock(at) : "",
    about: m.about,
    uncertain: m.uncertain,
    open: false,
  };
}

/** The text that says the same as the parts, to be read like any typed one, in a language. */
export function textOfParts(p: Parts, language?: Language): string {
  const tongue = tongueOf(language);
  const julian = p.julian ? ` ${tongue.julian}` : "";
  const start = endText(p.start, tongue);
  if (!p.span) return start ? start + julian : "";
  const end = endText(p.end, tongue);
  if (p.start.open && end) return `${tongue.until(end)}${julian}`;
  if (p.end.open && start) return `${tongue.from(start)}${julian}`;
  return start && end ? `${start} - ${end}${julian}` : (start || end) + julian;
}

function endText(e: EndParts, tongue: Tongue): string {
  if (e.open) return "";
  const said = (plain: string) => `${e.about ? tongue.about(plain) : plain}${e.uncertain ? "?" : ""}`;
  const [day, typed, time] = [e.day.trim(), e.year.trim(), e.time.trim()];
  if (typed === "") return day === "" && e.month === "" && time !== "" ? said(time) : "";
  const month = tongue.shortMonths[Number(e.month) - 1];
  const year = e.era === "BC" ? tongue.before1(typed, "BC") : Number(typed) < 100 ? tongue.after1(typed, "BC") : typed;
  if (!month) return said(year);
  if (!day) return said(tongue.monthYear(month, year, false));
  const date = Number.isInteger(Number(day)) ? tongue.date(Number(day), month, year, false) : `${day} ${month} ${year}`;
  return said(time ? `${date} ${time}` : date);
}
