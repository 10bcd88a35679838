import { civilFrom } from "./calendar";
import { MONTHS } from "./date-problem";
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

/** The text that says the same as the parts, to be read like any typed one. */
export function textOfParts(p: Parts): string {
  const julian = p.julian ? " (Julian)" : "";
  const start = endText(p.start);
  if (!p.span) return start ? start + julian : "";
  const end = endText(p.end);
  if (p.start.open && end) return `until ${end}${julian}`;
  if (p.end.open && start) return `from ${start}${julian}`;
  return start && end ? `${start} - ${end}${julian}` : (start || end) + julian;
}

function endText(e: EndParts): string {
  if (e.open) return "";
  if (e.year.trim() === "") {
    const alone = e.day.trim() === "" && e.month === "" && e.time.trim() !== "";
    return alone ? `${e.about ? "about " : ""}${e.time.trim()}${e.uncertain ? "?" : ""}` : "";
  }
  const month = MONTHS[Number(e.month) - 1];
  const year = e.era === "BC" ? `${e.year.trim()} BC` : Number(e.year) < 100 ? `AD ${e.year.trim()}` : e.year.trim();
  const date = [month ? e.day.trim() : "", month?.slice(0, 3) ?? "", year, month && e.day.trim() ? e.time.trim() : ""]
    .filter(Boolean)
    .join(" ");
  return `${e.about ? "about " : ""}${date}${e.uncertain ? "?" : ""}`;
}
