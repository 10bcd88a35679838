"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { useId, useMemo, useState } from "react";
import type { EventField, Value } from "@/core/change/change";
import { whenLabel } from "@/core/time/write-when";
import { namedWhole, wholesFor, wholesOf } from "@/core/timeline/parts";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";
import type { Loudness } from "@/core/timeline/fields";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { mannerOf } from "@/core/timeline/read-options";

type Set = (field: EventField, group?: boolean) => (value: Value) => void;

/** What an event is part of: what holds it first, then the other spans. */
export function PartOfField({
  event,
  timeline,
  onChange,
}: {
  event: TimelineEvent;
  timeline: Timeline;
  onChange: (whole: string | null) => void;
}) {
  const { holding, others } = useMemo(() => wholesFor(timeline, event.id), [timeline, event.id]);
  const option = (e: TimelineEvent) => (
    <option key={e.id} value={e.id}>
      {e.title || WORDS.untitled} ({whenLabel(e.when, mannerOf(timeline)) || WORDS.noDate})
    </option>
  );
  return (
    <Field label={WORDS.partOf}>
      {(ids) => (
        <select
          id={ids.id}
          className={INPUT}
          value={namedWhole(event) ?? ""}
          onChange={(e) => onChange(e.target.value || null)}
        >
          <option value="">{WORDS.nothing}</option>
          {holding.length > 0 ? <optgroup label={WORDS.itLiesWithin}>{holding.map(option)}</optgroup> : null}
          {others.length > 0 ? <optgroup label={WORDS.otherSpans}>{others.map(option)}</optgroup> : null}
        </select>
      )}
    </Field>
  );
}

const steps = (): [Loudness, string, number][] => [
  [-1, WORDS.quieter, 13],
  [0, WORDS.asUsual, 15],
  [1, WORDS.louder, 18],
];

/** How loud a label is beside the others: its type, its picture, and who gets room first. */
function LoudnessField({
  value,
  name,
  onChange,
}: {
  value: Loudness;
  name: string;
  onChange: (value: Loudness) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-[13px] text-quiet">{WORDS.itsLabelOnTheChart}</legend>
      <div className="flex flex-wrap gap-1">
        {steps().map(([step, text, size]) => (
          <label
            key={step}
            className={classes(
              "relative flex h-9 cursor-pointer items-center rounded-md border px-3 has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-slate",
              value === step ? "border-slate bg-sun-wash" : "border-edge bg-white hover:bg-verdigris-wash",
            )}
            style={{ fontSize: size }}
          >
            <input
              type="radio"
              name={name}
              className="absolute inset-0 cursor-pointer opacity-0"
              checked={value === step}
              onChange={() => onChange(step)}
            />
            {text}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** How an event stands on the chart: its parts in a close-up, what of it is done, its label where it was put. */
export function ArrangeFields({ event, timeline, set }: { event: TimelineEvent; timeline: Timeline; set: Set }) {
  const doneId = useId();
  const parts = useMemo(
    () => [...wholesOf(timeline.events).values()].filter((whole) => whole === event.id).length,
    [timeline.events, event.id],
  );
  const isSpan = event.when.readAs.kind === "span";
  // How much is done is asked only where a timeline says it of something.
  const used = useMemo(
    () => [...timeline.events.values()].some((e) => e.done !== null && !e.deleted),
    [timeline.events],
  );
  const [asked, setAsked] = useState(false);
  return (
    <>
      <LoudnessField value={event.loudness} name={`loudness-${event.id}`} onChange={set("loudness", false)} />
      {parts > 0 ? (
        <Field label={WORDS.closeUpOfIts(parts, parts === 1 ? WORDS.part : WORDS.parts)}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={event.closeUp}
              onChange={(e) => set("closeUp", false)(e.target.value)}
            >
              <option value="">{WORDS.whenThereIsTooLittle}</option>
              <option value="open">{WORDS.open}</option>
              <option value="closed">{WORDS.closed}</option>
            </select>
          )}
        </Field>
      ) : null}
      {isSpan && !used && !asked ? (
        <button
          type="button"
          className="min-h-6 w-fit text-[13px] font-bold text-verdigris underline"
          onClick={() => setAsked(true)}
        >
          {WORDS.sayHowMuchOfIt}
        </button>
      ) : null}
      {isSpan && (used || asked) ? (
        <div className="flex items-center gap-2">
          <label htmlFor={doneId} className="text-[13px] text-quiet">
            {WORDS.done}
          </label>
          <input
            id={doneId}
            type="number"
            min={0}
            max={100}
            step={5}
            inputMode="numeric"
            className={`${INPUT} w-20`}
            value={event.done ?? ""}
            placeholder="–"
            onChange={(e) => {
              const n = Math.round(Number(e.target.value));
              if (e.target.value === "") set("done")(null);
              else if (Number.isFinite(n)) set("done")(Math.max(0, Math.min(100, n)));
            }}
          />
          <span className="text-[13px] text-quiet">{WORDS.percentEmptyNotShownOn}</span>
        </div>
      ) : null}
      {event.spot ? (
        <div className="flex items-center gap-2 rounded-md bg-panel px-3 py-1.5 text-[14px]">
          <span>{WORDS.itsLabelWasPlacedBy}</span>
          <Button size="small" className="ms-auto" onClick={() => set("spot", false)(null)}>
            {WORDS.putTheLabelBack}
          </Button>
        </div>
      ) : null}
    </>
  );
}
