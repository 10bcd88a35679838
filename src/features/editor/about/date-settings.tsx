"use client";

import { WORDS } from "@/core/words/editor-about";
import { useState } from "react";
import { isDated, type Margins } from "@/core/time/when";
import { type Manner, USUAL_MANNER, whenLabel } from "@/core/time/write-when";
import { readWhen } from "@/core/time/read/read-when";
import { readOptionsOf } from "@/core/timeline/read-options";
import { setReading, timesOnOps } from "@/core/change/reading-steps";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";

const widths = (): [keyof Margins, string, string, number, "day" | "year"][] => [
  ["day", WORDS.aboutADayReaches, "days", 3, "day"],
  ["year", WORDS.aboutAYearReaches, "years", 5, "year"],
  ["decade", WORDS.aboutADecadeReaches, "years", 10, "year"],
];

/** How the timeline reads dates (order, hemisphere, widths of "about") and how it writes them. */
export function DateSettings() {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const manner = timeline.dateStyle ?? USUAL_MANNER;
  const set = (value: Manner) => store.edit([{ kind: "set_timeline", field: "dateStyle", value }]);
  const write = (part: Partial<Manner>) => set({ ...manner, ...part });
  const read = (part: Parameters<typeof setReading>[1]) => store.edit(setReading(timeline, part));
  const example = whenLabel(readWhen("14 Nov 1872"), manner);
  return (
    <section aria-label={WORDS.dates} className="flex flex-col gap-3">
      <h3 className="font-sans text-[13px] font-normal text-quiet">{WORDS.datesWrittenLike(example)}</h3>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field label={WORDS.n03041872Means}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={timeline.dateOrder ?? ""}
              onChange={(e) => read({ dateOrder: (e.target.value || null) as "dmy" | "mdy" | null })}
            >
              <option value="">{WORDS.notSaidYetAsk}</option>
              <option value="dmy">{WORDS.n3AprilDayFirst}</option>
              <option value="mdy">{WORDS.n4MarchMonthFirst}</option>
            </select>
          )}
        </Field>
        <Field label={WORDS.writeFirst}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.order}
              onChange={(e) => write({ order: e.target.value as Manner["order"] })}
            >
              <option value="dmy">{WORDS.theDay}</option>
              <option value="mdy">{WORDS.theMonth}</option>
            </select>
          )}
        </Field>
        <Field label={WORDS.writeMonthsAs}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.months}
              onChange={(e) => write({ months: e.target.value as Manner["months"] })}
            >
              <option value="names">{WORDS.names}</option>
              <option value="numbers">{WORDS.numbers}</option>
            </select>
          )}
        </Field>
        <Field label={WORDS.asExactAs}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.finest ?? ""}
              onChange={(e) => {
                const { finest: _, ...rest } = manner;
                set(e.target.value ? { ...rest, finest: "month" } : rest);
              }}
            >
              <option value="">{WORDS.itIsKnown}</option>
              <option value="month">{WORDS.monthAndYear}</option>
            </select>
          )}
        </Field>
        <Field label={WORDS.writeTimesBy}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.clock ?? ""}
              onChange={(e) => write({ clock: e.target.value as "24" | "12" })}
            >
              {manner.clock ? null : <option value="">{WORDS.whatIsTypedFirst}</option>}
              <option value="24">{WORDS.n24Hours2210}</option>
              <option value="12">{WORDS.amAndPm1010}</option>
            </select>
          )}
        </Field>
        <TimesOn />
        <Field label={WORDS.beforeTheYear1}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.era}
              onChange={(e) => write({ era: e.target.value as Manner["era"] })}
            >
              <option value="BC">{WORDS.n310Bc}</option>
              <option value="BCE">{WORDS.n310Bce}</option>
            </select>
          )}
        </Field>
        <Field label={WORDS.weekdays}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.weekdays ? "yes" : ""}
              onChange={(e) => write({ weekdays: e.target.value === "yes" })}
            >
              <option value="">{WORDS.onlyInTheReadView}</option>
              <option value="yes">{WORDS.everywhere}</option>
            </select>
          )}
        </Field>
        <Field label={WORDS.julianDates}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.julian ? "yes" : ""}
              onChange={(e) => write({ julian: e.target.value === "yes" })}
            >
              <option value="yes">{WORDS.inTheirOwnCalendar}</option>
              <option value="">{WORDS.asTheGregorianDay}</option>
            </select>
          )}
        </Field>
        <Field label={WORDS.seasons}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={timeline.hemisphere}
              onChange={(e) => read({ hemisphere: e.target.value as "north" | "south" })}
            >
              <option value="north">{WORDS.ofTheNorth}</option>
              <option value="south">{WORDS.ofTheSouth}</option>
            </select>
          )}
        </Field>
        {widths().map(([key, label, unitWord, usual, unit]) => (
          <Field key={key} label={label} hint={WORDS.eitherWay(unitWord)}>
            {(ids) => (
              <input
                id={ids.id}
                aria-describedby={ids.describedBy}
                inputMode="numeric"
                className={INPUT}
                defaultValue={timeline.margins?.[key]?.amount ?? usual}
                onBlur={(e) => {
                  const amount = Number(e.target.value);
                  if (!Number.isFinite(amount) || amount < 0) return;
                  const { [key]: _, ...rest } = timeline.margins ?? {};
                  const margins: Margins = amount === usual ? rest : { ...rest, [key]: { amount, unit } };
                  read({ margins: Object.keys(margins).length > 0 ? margins : null });
                }}
              />
            )}
          </Field>
        ))}
      </div>
    </section>
  );
}

/** The day that times alone belong to: not said, one day nobody names, or a day as one types it. */
function TimesOn() {
  const { store } = useEditor();
  const timesOn = useEditorState((s) => s.timeline.timesOn);
  const kind = !timesOn ? "ask" : isDated(timesOn) ? "day" : "unnamed";
  /** What is being typed; null: nothing. */
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const commit = (text: string) => {
    const day = readWhen(text, { ...readOptionsOf(store.getState().timeline), day: null, sentence: false });
    const isDay = day.readAs.kind === "moment" && day.readAs.at.precision === "day";
    if (!isDay && text.trim() !== "") return setProblem(WORDS.thisIsNotADay);
    setProblem(null);
    if (text.trim() !== "") store.edit(timesOnOps(store.getState().timeline, text));
    setTyped(null);
  };
  return (
    <Field label={WORDS.timesAloneSuchAs5} problem={problem}>
      {(ids) => (
        <>
          <select
            id={ids.id}
            className={INPUT}
            value={typed === null ? kind : "day"}
            onChange={(e) => {
              setProblem(null);
              setTyped(e.target.value === "day" ? (timesOn?.typed ?? "") : null);
              const t = store.getState().timeline;
              if (e.target.value === "ask") store.edit(setReading(t, { timesOn: null }));
              if (e.target.value === "unnamed") store.edit(timesOnOps(t, ""));
            }}
          >
            <option value="ask">{WORDS.needTheirDay}</option>
            <option value="unnamed">{WORDS.areOnOneDayNot}</option>
            <option value="day">{WORDS.areAllOnOneDay}</option>
          </select>
          {kind !== "day" && typed === null ? null : (
            <input
              aria-label={WORDS.theDayOfAllTimes}
              aria-describedby={ids.describedBy}
              className={`${INPUT} mt-1`}
              placeholder={WORDS.n14Nov1872}
              value={typed ?? timesOn?.typed ?? ""}
              onChange={(e) => setTyped(e.target.value)}
              onBlur={(e) => commit(e.target.value)}
              onKeyDown={(e) => {
                if (e.key === "Enter" && !e.nativeEvent.isComposing) commit(e.currentTarget.value);
              }}
            />
          )}
        </>
      )}
    </Field>
  );
}
