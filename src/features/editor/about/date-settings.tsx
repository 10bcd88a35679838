"use client";

import { useState } from "react";
import { isDated, type Margins } from "@/core/time/when";
import { type Manner, USUAL_MANNER, whenLabel } from "@/core/time/write-when";
import { readWhen } from "@/core/time/read/read-when";
import { readOptionsOf } from "@/core/timeline/read-options";
import { setReading, timesOnOps } from "@/core/change/reading-steps";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";

const WIDTHS: [keyof Margins, string, string, number, "day" | "year"][] = [
  ["day", "About a day reaches", "days", 3, "day"],
  ["year", "About a year reaches", "years", 5, "year"],
  ["decade", "About a decade reaches", "years", 10, "year"],
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
    <section aria-label="Dates" className="flex flex-col gap-3">
      <h3 className="font-sans text-[13px] font-normal text-quiet">Dates, written like {example}</h3>
      <div className="grid grid-cols-2 gap-3">
        <Field label="03/04/1872 means">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={timeline.dateOrder ?? ""}
              onChange={(e) => read({ dateOrder: (e.target.value || null) as "dmy" | "mdy" | null })}
            >
              <option value="">not said yet: ask</option>
              <option value="dmy">3 April (day first)</option>
              <option value="mdy">4 March (month first)</option>
            </select>
          )}
        </Field>
        <Field label="Write first">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.order}
              onChange={(e) => write({ order: e.target.value as Manner["order"] })}
            >
              <option value="dmy">the day</option>
              <option value="mdy">the month</option>
            </select>
          )}
        </Field>
        <Field label="Write months as">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.months}
              onChange={(e) => write({ months: e.target.value as Manner["months"] })}
            >
              <option value="names">names</option>
              <option value="numbers">numbers</option>
            </select>
          )}
        </Field>
        <Field label="As exact as">
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
              <option value="">it is known</option>
              <option value="month">month and year</option>
            </select>
          )}
        </Field>
        <Field label="Write times by">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.clock ?? ""}
              onChange={(e) => write({ clock: e.target.value as "24" | "12" })}
            >
              {manner.clock ? null : <option value="">what is typed first</option>}
              <option value="24">24 hours: 22:10</option>
              <option value="12">am and pm: 10:10 pm</option>
            </select>
          )}
        </Field>
        <TimesOn />
        <Field label="Before the year 1">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.era}
              onChange={(e) => write({ era: e.target.value as Manner["era"] })}
            >
              <option value="BC">310 BC</option>
              <option value="BCE">310 BCE</option>
            </select>
          )}
        </Field>
        <Field label="Weekdays">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.weekdays ? "yes" : ""}
              onChange={(e) => write({ weekdays: e.target.value === "yes" })}
            >
              <option value="">only in the read view</option>
              <option value="yes">everywhere</option>
            </select>
          )}
        </Field>
        <Field label="Julian dates">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={manner.julian ? "yes" : ""}
              onChange={(e) => write({ julian: e.target.value === "yes" })}
            >
              <option value="yes">in their own calendar</option>
              <option value="">as the Gregorian day</option>
            </select>
          )}
        </Field>
        <Field label="Seasons">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={timeline.hemisphere}
              onChange={(e) => read({ hemisphere: e.target.value as "north" | "south" })}
            >
              <option value="north">of the north</option>
              <option value="south">of the south</option>
            </select>
          )}
        </Field>
        {WIDTHS.map(([key, label, unitWord, usual, unit]) => (
          <Field key={key} label={label} hint={`${unitWord} either way`}>
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
    if (!isDay && text.trim() !== "") return setProblem("This is not a day Fastigo can read. Try 14 Nov 1872.");
    setProblem(null);
    if (text.trim() !== "") store.edit(timesOnOps(store.getState().timeline, text));
    setTyped(null);
  };
  return (
    <Field label="Times alone, such as 5:40" problem={problem}>
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
            <option value="ask">need their day</option>
            <option value="unnamed">are on one day, not named</option>
            <option value="day">are all on one day:</option>
          </select>
          {kind !== "day" && typed === null ? null : (
            <input
              aria-label="The day of all times"
              aria-describedby={ids.describedBy}
              className={`${INPUT} mt-1`}
              placeholder="14 Nov 1872"
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
