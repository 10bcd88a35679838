"use client";

import { WORDS } from "@/core/words/editor-about";
import { VALUE as UNIT } from "@/core/words/steps";
import { useMemo } from "react";
import { viewWords } from "@/core/chart/axis/view-words";
import { mannerOf } from "@/core/timeline/read-options";
import type { LabelWords, Marks, PicturesShown } from "@/core/timeline/fields";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Choice } from "@/ui/controls/choice";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";
import { placedByHand, putLabelsBack } from "../store/event-deeds";
import { TextField } from "../sheet/text-field";

const UNITS: Extract<Marks, { kind: "step" }>["unit"][] = ["years", "months", "days", "hours", "minutes"];

/** The types of labels an author chooses among, px. */
const TYPES = [
  ["12", WORDS.typeSmall],
  ["16", WORDS.typeUsual],
  ["20", WORDS.typeLarge],
] as const;

/** How the chart is drawn and what a reader sees first. */
export function ChartSettings() {
  const { store } = useEditor();
  const marks = useEditorState((s) => s.timeline.marks);
  const gridlines = useEditorState((s) => s.timeline.gridlines);
  const pictures = useEditorState((s) => s.timeline.pictures);
  const typeSize = useEditorState((s) => s.timeline.typeSize);
  const labelWords = useEditorState((s) => s.timeline.labelWords);
  const lengths = useEditorState((s) => s.timeline.lengths);
  const today = useEditorState((s) => s.timeline.today);
  const events = useEditorState((s) => s.timeline.events);
  const placed = useMemo(() => placedByHand(events).length, [events]);
  const firstView = useEditorState((s) => s.timeline.firstView);
  const manner = useEditorState((s) => mannerOf(s.timeline));
  const set = (field: "pictures" | "typeSize" | "labelWords", value: PicturesShown | LabelWords | number | null) =>
    store.edit([{ kind: "set_timeline", field, value }]);
  const setMarks = (value: Marks | null, group?: string) =>
    store.edit([{ kind: "set_timeline", field: "marks", value }], group ?? null);
  return (
    <section aria-label={WORDS.chart} className="flex flex-col gap-3">
      <Field label={WORDS.marksOnTheRidge}>
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
            <option value="">{WORDS.asThereIsRoom}</option>
            <option value="step">{WORDS.everySoManyYearsMonths}</option>
            <option value="list">{WORDS.datesOfMyOwn}</option>
          </select>
        )}
      </Field>
      {marks?.kind === "step" ? (
        <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
          <Field label={WORDS.aMarkEvery}>
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
          <Field label={WORDS.unit}>
            {(ids) => (
              <select
                id={ids.id}
                className={INPUT}
                value={marks.unit}
                onChange={(e) => setMarks({ ...marks, unit: e.target.value as (typeof UNITS)[number] })}
              >
                {UNITS.map((u) => (
                  <option key={u} value={u}>
                    {UNIT.units[u]}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </div>
      ) : null}
      {marks?.kind === "list" ? (
        <TextField
          label={WORDS.datesToMark}
          value={marks.text}
          hint={WORDS.writtenAsAnywhereWithA}
          onChange={(text) =>
            text.length > 4_000 ? WORDS.upTo4000Characters : setMarks({ kind: "list", text }, "timeline:marks")
          }
        />
      ) : null}
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Choice
          label={WORDS.picturesOnTheChart}
          value={pictures}
          options={[
            ["large", WORDS.picturesLarge],
            ["small", WORDS.picturesSmall],
            ["none", WORDS.picturesNone],
          ]}
          onChoose={(value) => set("pictures", value as PicturesShown)}
        />
        <Choice
          label={WORDS.typeOfLabels}
          value={String(typeSize ?? "")}
          options={[["", WORDS.asThereIsRoom], ...TYPES]}
          onChoose={(value) => set("typeSize", value === "" ? null : Number(value))}
        />
        <Choice
          label={WORDS.wordsUnderTitles}
          value={labelWords}
          options={[
            ["room", WORDS.wordsWhereRoom],
            ["none", WORDS.picturesNone],
          ]}
          onChoose={(value) => set("labelWords", value as LabelWords)}
        />
      </div>
      {(
        [
          ["gridlines", gridlines, WORDS.linesAcrossTheChartAt],
          ["lengths", lengths, WORDS.sayHowLongSpansLast],
          ["today", today, WORDS.todayAsALine],
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
          <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">{WORDS.labelsPlacedByHand}</h3>
          <div className="flex items-center gap-2">
            <span>{placed === 1 ? WORDS.n1Label : WORDS.labels(placed)}</span>
            <Button size="small" onClick={() => putLabelsBack(store)}>
              {WORDS.putAllLabelsBack}
            </Button>
          </div>
        </div>
      ) : null}
      <div>
        <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">{WORDS.whatAReaderSeesFirst}</h3>
        <p className="mb-1.5">{viewWords(firstView, manner)}</p>
        <div className="flex flex-wrap gap-2">
          <Button
            size="small"
            onClick={() => {
              const view = new URLSearchParams(window.location.hash.slice(1)).get("view") ?? "";
              if (view === "") store.say(WORDS.youSeeTheWholeTimeline);
              store.edit([{ kind: "set_timeline", field: "firstView", value: view }]);
            }}
          >
            {WORDS.setWhatISeeNow}
          </Button>
          {firstView ? (
            <Button
              size="small"
              kind="quiet"
              onClick={() => store.edit([{ kind: "set_timeline", field: "firstView", value: "" }])}
            >
              {WORDS.showTheWhole}
            </Button>
          ) : null}
        </div>
      </div>
    </section>
  );
}
