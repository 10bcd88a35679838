"use client";

import { useMemo } from "react";
import { viewWords } from "@/core/chart/axis/view-words";
import { mannerOf } from "@/core/timeline/read-options";
import type { Marks } from "@/core/timeline/fields";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";
import { placedByHand, putLabelsBack } from "../store/event-deeds";
import { TextField } from "../sheet/text-field";

const UNITS: Extract<Marks, { kind: "step" }>["unit"][] = ["years", "months", "days", "hours", "minutes"];

/** How the chart is drawn and what a reader sees first. */
export function ChartSettings() {
  const { store } = useEditor();
  const marks = useEditorState((s) => s.timeline.marks);
  const gridlines = useEditorState((s) => s.timeline.gridlines);
  const lengths = useEditorState((s) => s.timeline.lengths);
  const today = useEditorState((s) => s.timeline.today);
  const events = useEditorState((s) => s.timeline.events);
  const placed = useMemo(() => placedByHand(events).length, [events]);
  const firstView = useEditorState((s) => s.timeline.firstView);
  const manner = useEditorState((s) => mannerOf(s.timeline));
  const setMarks = (value: Marks | null, group?: string) =>
    store.edit([{ kind: "set_timeline", field: "marks", value }], group ?? null);
  return (
    <section aria-label="Chart" className="flex flex-col gap-3">
      <Field label="Marks on the ridge">
        {(ids) => (
          <select
            id={ids.id}
            className={INPUT}
            value={marks?.kind ?? ""}
            onChange={(e) => {
              if (e.target.value === "step") setMarks({ kind: "step", unit: "years", step: 10 });
              else setMarks(e.target.value === "list" ? { kind: "list", text: "" } : null);
            }}
          >
            <option value="">as there is room</option>
            <option value="step">every so many years, months ...</option>
            <option value="list">dates of my own</option>
          </select>
        )}
      </Field>
      {marks?.kind === "step" ? (
        <div className="grid grid-cols-2 gap-3">
          <Field label="A mark every">
            {(ids) => (
              <input
                id={ids.id}
                className={INPUT}
                type="number"
                min={1}
                max={10_000_000_000}
                step={1}
                value={marks.step}
                onChange={(e) => {
                  const step = Math.round(Number(e.target.value));
                  if (step >= 1 && step <= 10_000_000_000) setMarks({ ...marks, step }, "timeline:marks");
                }}
              />
            )}
          </Field>
          <Field label="Unit">
            {(ids) => (
              <select
                id={ids.id}
                className={INPUT}
                value={marks.unit}
                onChange={(e) => setMarks({ ...marks, unit: e.target.value as (typeof UNITS)[number] })}
              >
                {UNITS.map((u) => (
                  <option key={u}>{u}</option>
                ))}
              </select>
            )}
          </Field>
        </div>
      ) : null}
      {marks?.kind === "list" ? (
        <TextField
          label="Dates to mark"
          value={marks.text}
          hint="Written as anywhere, with a semicolon between: 1631; 14 Nov 1872; 1931. What is no date is passed over."
          onChange={(text) =>
            text.length > 4_000
              ? "Up to 4,000 characters fit here."
              : setMarks({ kind: "list", text }, "timeline:marks")
          }
        />
      ) : null}
      {(
        [
          ["gridlines", gridlines, "Lines across the chart at the marks"],
          ["lengths", lengths, "Say how long spans last"],
          ["today", today, "Today as a line"],
        ] as const
      ).map(([field, checked, label]) => (
        <CheckRow
          key={field}
          label={label}
          checked={checked}
          onChange={(value) => store.edit([{ kind: "set_timeline", field, value }])}
        />
      ))}
      {placed > 0 ? (
        <div>
          <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">Labels placed by hand</h3>
          <div className="flex items-center gap-2">
            <span>{placed === 1 ? "1 label" : `${placed} labels`}</span>
            <Button size="small" onClick={() => putLabelsBack(store)}>
              Put all labels back
            </Button>
          </div>
        </div>
      ) : null}
      <div>
        <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">What a reader sees first</h3>
        <p className="mb-1.5">{viewWords(firstView, manner)}</p>
        <div className="flex flex-wrap gap-2">
          <Button
            size="small"
            onClick={() => {
              const view = new URLSearchParams(window.location.hash.slice(1)).get("view") ?? "";
              if (view === "")
                store.say(
                  "You see the whole timeline now, and so will a reader. Zoom in on the chart first to set another view.",
                );
              store.edit([{ kind: "set_timeline", field: "firstView", value: view }]);
            }}
          >
            Set what I see now
          </Button>
          {firstView ? (
            <Button
              size="small"
              kind="quiet"
              onClick={() => store.edit([{ kind: "set_timeline", field: "firstView", value: "" }])}
            >
              Show the whole
            </Button>
          ) : null}
        </div>
      </div>
    </section>
  );
}
