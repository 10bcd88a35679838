"use client";

import { language } from "@/core/language/spoken";
import { WORDS } from "@/core/words/editor-sheet";
import { CalendarDays } from "lucide-react";
import { Popover } from "radix-ui";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { offeredIn, saidIn } from "@/core/time/read/said-in";
import { dateProblemText } from "@/core/words/dates";
import { readWhen } from "@/core/time/read/read-when";
import type { When } from "@/core/time/when";
import { momentLabel, whenFullLabel, whenLabel } from "@/core/time/write-when";
import { daysNamed } from "@/core/timeline/problems";
import { readOptionsFor, readOptionsOf } from "@/core/timeline/read-options";
import { setReading, timesOnOps } from "@/core/change/reading-steps";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";
import { WhenParts } from "./when-parts";

/** Fetched when it is first opened. */
const CalendarPicker = lazy(() => import("./calendar-picker"));

/** How long typing may pause before the date is taken, ms. */
const PAUSE_MS = 600;

/** A date as people write it: what was typed stays, what was understood stands beneath, readings are buttons. */
export function WhenField({
  label,
  value,
  onChange,
  hint,
  event = null,
  near = null,
}: {
  label: string;
  value: When;
  onChange: (when: When) => string | null;
  hint?: string;
  /** The event it dates; null where it is no event's. */
  event?: string | null;
  /** The date of what stands beside it: where the calendar opens when there is none yet. */
  near?: When | null;
}) {
  const timeline = useEditorState((s) => s.timeline);
  const order = event ? readOptionsFor(timeline, event) : readOptionsOf(timeline);
  const [parts, setParts] = useState(false);
  const [typed, setTyped] = useState(value.typed);
  const [problem, setProblem] = useState<string | null>(null);
  const waiting = useRef<{ text: string; timer: ReturnType<typeof setTimeout> } | null>(null);
  const latest = useRef({ onChange, value, order });
  latest.current = { onChange, value, order };

  const commit = (text: string) => {
    if (waiting.current) clearTimeout(waiting.current.timer);
    waiting.current = null;
    const { value: now, order: o } = latest.current;
    if (text === now.typed) return;
    const read = readWhen(text, o);
    setProblem(latest.current.onChange(now.place ? { ...read, place: now.place } : read));
  };
  // Someone else's change shows, unless one is typing here.
  useEffect(() => {
    if (!waiting.current) setTyped(value.typed);
  }, [value.typed]);
  // Nothing typed is lost by closing the sheet or the tab in the middle of it.
  useEffect(() => {
    const flush = () => {
      if (waiting.current) commitRef.current(waiting.current.text);
    };
    window.addEventListener("pagehide", flush);
    return () => {
      window.removeEventListener("pagehide", flush);
      flush();
    };
  }, []);
  const commitRef = useRef(commit);
  commitRef.current = commit;

  const shown = typed === value.typed ? value : readWhen(typed, order);
  const { readAs } = shown;
  const use = (text: string) => {
    setTyped(text);
    commit(text);
  };
  return (
    <Field
      label={label}
      problem={problem}
      hint={
        readAs.kind === "moment" || readAs.kind === "span" ? (
          <span className="font-bold text-verdigris">✓ {whenFullLabel(shown, timeline.dateStyle)}</span>
        ) : readAs.kind === "undated" ? (
          (hint ?? WORDS.noDateYetItStands)
        ) : null
      }
    >
      {(ids) => (
        <>
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            aria-invalid={readAs.kind === "not_understood"}
            value={typed}
            placeholder={WORDS.n14Nov1872About1840}
            className={classes(INPUT, "h-10 font-bold", readAs.kind === "not_understood" && "border-copper")}
            onChange={(e) => {
              const text = e.target.value;
              setTyped(text);
              if (waiting.current) clearTimeout(waiting.current.timer);
              waiting.current = { text, timer: setTimeout(() => commit(text), PAUSE_MS) };
            }}
            onBlur={() => commit(typed)}
            onKeyDown={(e) => {
              if (e.key === "Enter" && !e.nativeEvent.isComposing) commit(typed);
            }}
          />
          <div className="mt-1 flex flex-wrap gap-x-3">
            <button
              type="button"
              className="min-h-6 text-[13px] font-bold text-verdigris underline"
              aria-expanded={parts}
              onClick={() => setParts(!parts)}
            >
              {WORDS.setByParts}
            </button>
            <Popover.Root>
              <Popover.Trigger className="flex min-h-6 items-center gap-1 text-[13px] font-bold text-verdigris underline">
                <CalendarDays size={14} aria-hidden /> {WORDS.calendar}
              </Popover.Trigger>
              <Popover.Portal>
                <Popover.Content
                  align="start"
                  sideOffset={4}
                  collisionPadding={8}
                  aria-label={WORDS.chooseADay}
                  className="z-50 max-h-[var(--radix-popover-content-available-height)] w-[330px] overflow-y-auto rounded-md border border-edge bg-white p-3 text-[14px] text-slate"
                >
                  <Suspense fallback={<div className="h-[420px]" />}>
                    <CalendarPicker when={shown} near={near} onText={use} />
                  </Suspense>
                </Popover.Content>
              </Popover.Portal>
            </Popover.Root>
            {readAs.kind === "moment" && !readAs.at.wording ? (
              <button
                type="button"
                className="min-h-6 text-[13px] font-bold text-verdigris underline"
                onClick={() => use(`${whenLabel(shown)} - ${whenLabel(shown).replace(/^about /, "")}`)}
              >
                {WORDS.makeItASpan}
              </button>
            ) : null}
            {readAs.kind === "span" && readAs.start ? (
              <button
                type="button"
                className="min-h-6 text-[13px] font-bold text-verdigris underline"
                onClick={() => use(momentLabel(readAs.start!))}
              >
                {WORDS.onlyItsStart}
              </button>
            ) : null}
          </div>
          {parts ? <WhenParts when={shown} onText={use} /> : null}
          {readAs.kind === "not_understood" ? (
            <div className="mt-1.5 rounded-md bg-copper-wash px-2.5 py-2 text-[13px] text-copper-dark" role="status">
              {dateProblemText(readAs.problem)}
              {readAs.problem.code === "no_day_for_time" ? (
                <DayQuestion />
              ) : readAs.problem.code === "two_orders" ? (
                <OrderQuestion readings={offeredIn(language(), readAs.problem)} typed={typed} />
              ) : (
                <span className="mt-1.5 flex flex-wrap gap-1.5">
                  {offeredIn(language(), readAs.problem).map((r) => (
                    <Button key={r} size="small" onClick={() => use(r)}>
                      {r}
                    </Button>
                  ))}
                </span>
              )}
            </div>
          ) : null}
        </>
      )}
    </Field>
  );
}

/** One day for all times: the days that dates of the timeline already name. */
function DayQuestion() {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  return (
    <span className="mt-1.5 flex flex-wrap gap-1.5">
      {daysNamed(timeline.events.values()).map((day) => (
        <Button key={day} size="small" onClick={() => store.edit(timesOnOps(store.getState().timeline, day))}>
          {WORDS.allTimesAreOn(saidIn(language(), day))}
        </Button>
      ))}
    </span>
  );
}

/** Asked once for the whole timeline: one change sets the order and reads every such date anew. */
function OrderQuestion({ readings, typed }: { readings: readonly string[]; typed: string }) {
  const { store } = useEditor();
  const choose = (dateOrder: "dmy" | "mdy") => store.edit(setReading(store.getState().timeline, { dateOrder }));
  const [dayFirst = "", monthFirst = ""] = readings;
  return (
    <span className="mt-1.5 flex flex-wrap gap-1.5">
      <Button size="small" onClick={() => choose("dmy")} title={WORDS.dayFirstInTheWhole(typed, dayFirst)}>
        {dayFirst}
      </Button>
      <Button size="small" onClick={() => choose("mdy")} title={WORDS.monthFirstInTheWhole(typed, monthFirst)}>
        {monthFirst}
      </Button>
    </span>
  );
}
