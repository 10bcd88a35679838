"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { useEffect, useState } from "react";
import { language } from "@/core/language/spoken";
import { tongueOf } from "@/core/time/tongues/tongues";
import { type EndParts, type Parts, partsOf, textOfParts } from "@/core/time/parts";
import type { When } from "@/core/time/when";
import { CheckRow } from "@/ui/controls/check-row";
import { INPUT } from "@/ui/controls/field";

/** The same date as separate parts. What they say is written into the field and read like any typed date. */
export function WhenParts({ when, onText }: { when: When; onText: (text: string) => void }) {
  const [parts, setParts] = useState<Parts>(() => partsOf(when));
  // biome-ignore lint/correctness/useExhaustiveDependencies: taken apart again only when another text stands in the field
  useEffect(() => {
    if (textOfParts(parts, language()) !== when.typed) setParts(partsOf(when));
  }, [when.typed]);
  const change = (next: Parts) => {
    setParts(next);
    onText(textOfParts(next, language()));
  };
  return (
    <div className="mt-1.5 rounded-md border border-line bg-panel p-2.5">
      <div className="mb-2 flex flex-wrap gap-x-4 gap-y-1">
        <CheckRow small label={WORDS.aSpan} checked={parts.span} onChange={(span) => change({ ...parts, span })} />
        <CheckRow
          small
          label={WORDS.julianCalendar}
          checked={parts.julian}
          onChange={(julian) => change({ ...parts, julian })}
        />
      </div>
      <End
        label={parts.span ? WORDS.start : WORDS.date}
        value={parts.start}
        span={parts.span}
        set={(start) => change({ ...parts, start })}
      />
      {parts.span ? <End label={WORDS.end} value={parts.end} span set={(end) => change({ ...parts, end })} /> : null}
    </div>
  );
}

function End({
  label,
  value,
  span,
  set,
}: {
  label: string;
  value: EndParts;
  span: boolean;
  set: (v: EndParts) => void;
}) {
  return (
    <fieldset className="mb-1.5">
      <legend className="text-[13px] text-quiet">{label}</legend>
      <div className="grid grid-cols-[44px_minmax(92px,1fr)_64px_64px_66px] gap-1 [&>*]:px-1.5">
        <input
          aria-label={WORDS.day(label)}
          placeholder={WORDS.day2}
          className={INPUT}
          disabled={value.open}
          value={value.day}
          onChange={(e) => set({ ...value, day: e.target.value })}
        />
        <select
          aria-label={WORDS.month(label)}
          className={INPUT}
          disabled={value.open}
          value={value.month}
          onChange={(e) => set({ ...value, month: e.target.value })}
        >
          <option value="">{WORDS.month2}</option>
          {tongueOf(language()).months.map((m, i) => (
            <option key={m} value={i + 1}>
              {m}
            </option>
          ))}
        </select>
        <input
          aria-label={WORDS.year(label)}
          placeholder={WORDS.year2}
          className={INPUT}
          disabled={value.open}
          value={value.year}
          onChange={(e) => set({ ...value, year: e.target.value })}
        />
        <select
          aria-label={WORDS.era(label)}
          className={INPUT}
          disabled={value.open}
          value={value.era}
          onChange={(e) => set({ ...value, era: e.target.value as "AD" | "BC" })}
        >
          <option value="AD">{WORDS.ad}</option>
          <option value="BC">{WORDS.bc}</option>
        </select>
        <input
          aria-label={WORDS.time(label)}
          placeholder="22:10"
          className={INPUT}
          disabled={value.open}
          value={value.time}
          onChange={(e) => set({ ...value, time: e.target.value })}
        />
      </div>
      <div className="mt-1 flex flex-wrap gap-x-4">
        <CheckRow small label={WORDS.about} checked={value.about} onChange={(about) => set({ ...value, about })} />
        <CheckRow
          small
          label={WORDS.uncertain}
          checked={value.uncertain}
          onChange={(uncertain) => set({ ...value, uncertain })}
        />
        {span ? (
          <CheckRow small label={WORDS.open} checked={value.open} onChange={(open) => set({ ...value, open })} />
        ) : null}
      </div>
    </fieldset>
  );
}
