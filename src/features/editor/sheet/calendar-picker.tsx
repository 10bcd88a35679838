"use client";

import { useId, useMemo, useState } from "react";
import { DayPicker } from "react-day-picker";
import { de, es } from "react-day-picker/locale";
import { language } from "@/core/language/spoken";
import { tongueOf } from "@/core/time/tongues/tongues";
import { civilFrom } from "@/core/time/calendar";
import { readWhen } from "@/core/time/read/read-when";
import { type Shift, shifted } from "@/core/time/shift";
import { inDays, type Moment, startOf, type When } from "@/core/time/when";
import { momentLabel, timeText, written } from "@/core/time/write-when";
import { WORDS } from "@/core/words/editor-sheet";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";

/** The calendar in use began in October 1582: earlier days are typed. */
const FIRST_YEAR = 1583;
const LAST_YEAR = 9_999;

/** English is the picker's own. */
const LOCALES: Partial<Record<string, typeof de>> = { de, es };

interface Day {
  year: number;
  /** From 0. */
  month: number;
  day: number;
}

const local = ({ year, month, day }: Day): Date => {
  const date = new Date(2_000, month, day);
  date.setFullYear(year, month, day);
  return date;
};
function dayOf(m: Moment | null): Day | null {
  if (!m?.from || m.precision === "digits") return null;
  const { year, month, day } = civilFrom("gregorian", m.from.day);
  return year >= FIRST_YEAR && year <= LAST_YEAR ? { year, month: month - 1, day } : null;
}
/** In words that are read back. */
const textOf = (d: Day): string => {
  const tongue = tongueOf(language());
  return tongue.date(d.day, tongue.shortMonths[d.month]!, String(d.year), false);
};

/**
 * A calendar beside the text, for dates from 1583 on: a day is pressed, year and month can be typed, a time of day and how long it
 * went on too. Whatever is chosen is written as text into the field, where it can be altered. `near`: the date of a neighbour, where
 * it opens when there is none yet.
 */
export default function CalendarPicker({
  when,
  near,
  onText,
}: {
  when: When;
  near: When | null;
  onText: (text: string) => void;
}) {
  const r = when.readAs;
  const spoken = written(language());
  const [end, setEnd] = useState(false);
  const start = r.kind === "moment" ? r.at : r.kind === "span" ? r.start : null;
  const other = r.kind === "span" ? r.end : null;
  const chosen = dayOf(end ? other : start);
  const opened = useMemo(() => {
    const from = near && startOf(near);
    const civil = from && civilFrom("gregorian", from.day);
    const beside = civil && civil.year >= FIRST_YEAR ? { year: civil.year, month: civil.month - 1, day: 1 } : null;
    return chosen ?? dayOf(start) ?? beside ?? { year: new Date().getFullYear(), month: new Date().getMonth(), day: 1 };
  }, [chosen, start, near]);
  const [seen, setSeen] = useState({ year: opened.year, month: opened.month });
  const [yearText, setYearText] = useState(String(opened.year));
  const ids = { year: useId(), month: useId(), time: useId(), amount: useId(), unit: useId() };
  const look = (year: number, month: number) => {
    const at = { year: Math.max(FIRST_YEAR, Math.min(LAST_YEAR, year)), month };
    setSeen(at);
    setYearText(String(at.year));
  };
  const exact = chosen !== null && ["day", "hour", "minute", "second"].includes((end ? other : start)!.precision);

  /** Writes one end, and leaves the other as it is. */
  const write = (text: string) => {
    if (r.kind !== "span") return onText(text);
    const kept = end ? r.start : r.end;
    if (!kept) return onText(end ? `until ${text}` : `from ${text}`);
    onText(end ? `${momentLabel(kept, spoken)} - ${text}` : `${text} - ${momentLabel(kept, spoken)}`);
  };
  const time = (m: Moment | null) =>
    m?.from && ["hour", "minute", "second"].includes(m.precision) ? timeText(m.from, "minute", {}) : "";
  const [amount, setAmount] = useState("3");
  const [unit, setUnit] = useState<Shift["unit"]>("weeks");
  const n = Math.round(Number(amount));
  const lasting = () => {
    if (!start) return;
    const from = readWhen(momentLabel(start, spoken));
    const to = shifted(from, { amount: n, unit });
    if (to?.readAs.kind === "moment" && inDays(to.readAs.at.from ?? { day: 0, second: 0 }) > 0)
      onText(`${momentLabel(start, spoken)} - ${momentLabel(to.readAs.at, spoken)}`);
  };
  return (
    <div className="flex flex-col gap-2.5">
      {r.kind === "span" ? (
        <div role="group" aria-label={WORDS.whichEnd} className="flex gap-1.5">
          {[false, true].map((e) => (
            <Button
              key={String(e)}
              size="small"
              aria-pressed={end === e}
              kind={end === e ? "main" : "plain"}
              onClick={() => {
                setEnd(e);
                const there = dayOf(e ? other : start);
                if (there) look(there.year, there.month);
              }}
            >
              {e ? WORDS.itsEnd : WORDS.itsStart}
            </Button>
          ))}
        </div>
      ) : null}
      <div className="grid grid-cols-2 gap-2">
        <span>
          <label htmlFor={ids.month} className="text-[13px] text-quiet">
            {WORDS.calendarMonth}
          </label>
          <select
            id={ids.month}
            className={INPUT}
            value={seen.month}
            onChange={(e) => look(seen.year, Number(e.target.value))}
          >
            {tongueOf(language()).months.map((m, i) => (
              <option key={m} value={i}>
                {m}
              </option>
            ))}
          </select>
        </span>
        <span>
          <label htmlFor={ids.year} className="text-[13px] text-quiet">
            {WORDS.yearFrom1583}
          </label>
          <input
            id={ids.year}
            className={INPUT}
            inputMode="numeric"
            value={yearText}
            onChange={(e) => {
              setYearText(e.target.value);
              const year = Number(e.target.value);
              if (Number.isInteger(year) && year >= FIRST_YEAR && year <= LAST_YEAR) setSeen({ ...seen, year });
            }}
            onBlur={() => setYearText(String(seen.year))}
          />
        </span>
      </div>
      <DayPicker
        mode="single"
        {...(LOCALES[language()] ? { locale: LOCALES[language()]! } : {})}
        required={false}
        month={local({ ...seen, day: 1 })}
        onMonthChange={(m) => look(m.getFullYear(), m.getMonth())}
        startMonth={local({ year: FIRST_YEAR, month: 0, day: 1 })}
        endMonth={local({ year: LAST_YEAR, month: 11, day: 1 })}
        selected={chosen && exact ? local(chosen) : undefined}
        weekStartsOn={1}
        fixedWeeks
        onSelect={(date) => {
          if (date) write(textOf({ year: date.getFullYear(), month: date.getMonth(), day: date.getDate() }));
        }}
        classNames={{
          root: "relative",
          months: "",
          month_caption: "flex h-8 items-center justify-center font-bold",
          nav: "absolute inset-x-0 top-0 flex justify-between",
          button_previous: "flex size-8 items-center justify-center rounded-md hover:bg-verdigris-wash",
          button_next: "flex size-8 items-center justify-center rounded-md hover:bg-verdigris-wash",
          chevron: "size-4 fill-slate",
          month_grid: "w-full border-collapse",
          weekday: "h-7 text-[13px] font-normal text-quiet",
          day: "p-0 text-center",
          day_button: "size-9 rounded-md hover:bg-verdigris-wash max-sm:size-11",
          selected: "[&>button]:bg-verdigris [&>button]:font-bold [&>button]:text-white",
          outside: "text-quiet opacity-70",
          today: "[&>button]:border [&>button]:border-edge",
        }}
      />
      {exact ? (
        <span>
          <label htmlFor={ids.time} className="text-[13px] text-quiet">
            {WORDS.timeOfDay}
          </label>
          <input
            id={ids.time}
            type="time"
            className={INPUT}
            value={time(end ? other : start)}
            onChange={(e) => write(e.target.value ? `${textOf(chosen!)} ${e.target.value}` : textOf(chosen!))}
          />
        </span>
      ) : null}
      {start?.from ? (
        <div className="grid grid-cols-[72px_minmax(0,1fr)_auto] items-end gap-2">
          <label htmlFor={ids.amount} className="col-span-3 -mb-1 text-[13px] text-quiet">
            {WORDS.itWentOnFor}
          </label>
          <input
            id={ids.amount}
            type="number"
            min={1}
            className={INPUT}
            value={amount}
            onChange={(e) => setAmount(e.target.value)}
          />
          <label className="sr-only" htmlFor={ids.unit}>
            {WORDS.unit}
          </label>
          <select
            id={ids.unit}
            className={INPUT}
            value={unit}
            onChange={(e) => setUnit(e.target.value as Shift["unit"])}
          >
            {(["minutes", "hours", "days", "weeks", "months", "years"] as const).map((u) => (
              <option key={u} value={u}>
                {WORDS.units[u]}
              </option>
            ))}
          </select>
          <Button disabled={!(n > 0 && n <= 100_000)} onClick={lasting}>
            {WORDS.setItsEnd}
          </Button>
        </div>
      ) : null}
    </div>
  );
}
