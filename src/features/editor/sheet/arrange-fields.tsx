"use client";

import { useId, useMemo, useState } from "react";
import type { EventField, Value } from "@/core/change/change";
import { whenLabel } from "@/core/time/write-when";
import { namedWhole, wholesFor, wholesOf } from "@/core/timeline/parts";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";
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
      {e.title || "Untitled"} ({whenLabel(e.when, mannerOf(timeline)) || "no date"})
    </option>
  );
  return (
    <Field label="Part of">
      {(ids) => (
        <select
          id={ids.id}
          className={INPUT}
          value={namedWhole(event) ?? ""}
          onChange={(e) => onChange(e.target.value || null)}
        >
          <option value="">nothing</option>
          {holding.length > 0 ? <optgroup label="It lies within">{holding.map(option)}</optgroup> : null}
          {others.length > 0 ? <optgroup label="Other spans">{others.map(option)}</optgroup> : null}
        </select>
      )}
    </Field>
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
      {parts > 0 ? (
        <Field label={`Close-up of its ${parts} ${parts === 1 ? "part" : "parts"}`}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={event.closeUp}
              onChange={(e) => set("closeUp", false)(e.target.value)}
            >
              <option value="">when there is too little room</option>
              <option value="open">open</option>
              <option value="closed">closed</option>
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
          Say how much of it is done
        </button>
      ) : null}
      {isSpan && (used || asked) ? (
        <div className="flex items-center gap-2">
          <label htmlFor={doneId} className="text-[13px] text-quiet">
            Done
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
          <span className="text-[13px] text-quiet">percent; empty: not shown on the chart</span>
        </div>
      ) : null}
      {event.spot ? (
        <div className="flex items-center gap-2 rounded-md bg-panel px-3 py-1.5 text-[14px]">
          <span>Its label was placed by hand.</span>
          <Button size="small" className="ml-auto" onClick={() => set("spot", false)(null)}>
            Put the label back
          </Button>
        </div>
      ) : null}
    </>
  );
}
