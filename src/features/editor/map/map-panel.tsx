"use client";

import { Pause, Play } from "lucide-react";
import { Slider } from "radix-ui";
import { useEffect, useMemo, useState } from "react";
import { whenLabel } from "@/core/time/write-when";
import { orderOf } from "@/core/timeline/order";
import { mannerOf } from "@/core/timeline/read-options";
import { COLOURS } from "@/core/timeline/looks";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/en/places";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Frame } from "../sheet/frame";
import { useEditor, useEditorState } from "../store/editor-context";
import { MapView } from "./map-view";

const QUIET = "#4A6572";
/** How long each event stands while it plays, ms. */
const STEP_MS = 700;

/** Events with a place, on a map and in a list, with a window in time that can be moved and plays. */
export function MapPanel({ selected, onClose }: { selected: string | null; onClose: () => void }) {
  const { select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const all = useMemo(() => orderOf(timeline.events), [timeline.events]);
  const placed = useMemo(() => all.filter((e) => e.point !== null), [all]);
  const last = Math.max(0, placed.length - 1);
  const [range, setRange] = useState<[number, number] | null>(null);
  const [playing, setPlaying] = useState(false);
  const [here, setHere] = useState<ReadonlySet<string> | null>(null);
  const [from, to] = range ? [Math.min(range[0], last), Math.min(range[1], last)] : [0, last];
  const shown = useMemo(() => placed.slice(from, to + 1), [placed, from, to]);
  const manner = useMemo(() => mannerOf(timeline), [timeline]);
  const marks = useMemo(
    () =>
      shown.map((e) => {
        const category = timeline.categories.get(e.category ?? "");
        const colour = category && !category.deleted ? COLOURS[category.colour] : QUIET;
        return { id: e.id, colour, ...e.point! };
      }),
    [shown, timeline.categories],
  );
  // What is chosen on the chart is shown on the map too, even outside of the window.
  const chosen = placed.findIndex((e) => e.id === selected);
  useEffect(() => {
    if (!playing) return;
    const step = setInterval(() => {
      setRange((r) => {
        const [a, b] = r ?? [0, 0];
        if (b >= last) {
          setPlaying(false);
          return r;
        }
        return [a, b + 1];
      });
    }, STEP_MS);
    return () => clearInterval(step);
  }, [playing, last]);
  const play = () => {
    if (playing) return setPlaying(false);
    if (to >= last) setRange([from === last ? 0 : from, from === last ? 0 : from]);
    setPlaying(true);
  };
  const label = (e: TimelineEvent | undefined) => (e ? whenLabel(e.when, manner) : "");
  const listed = here ? placed.filter((e) => here.has(e.id)) : shown;
  return (
    <Frame title={WORDS.map} onClose={onClose}>
      {placed.length === 0 ? (
        <p className="text-quiet">{WORDS.none}</p>
      ) : (
        <div className="flex flex-col gap-3">
          <p className="text-[13px] text-quiet">{WORDS.mapHelp}</p>
          <MapView
            marks={marks}
            selected={selected}
            around={placed.map((e) => e.point!)}
            label={WORDS.mapOf(marks.length)}
            onPick={(ids) => {
              if (ids.length === 1) {
                setHere(null);
                select(ids[0]!);
              } else setHere(new Set(ids));
            }}
            className="h-[38vh] min-h-[240px]"
          />
          <div>
            <div className="flex items-center gap-3">
              <Button size="small" disabled={placed.length < 2} onClick={play}>
                {playing ? <Pause size={14} /> : <Play size={14} />} {playing ? WORDS.stop : WORDS.play}
              </Button>
              <Slider.Root
                className="relative flex h-8 flex-1 touch-none items-center select-none"
                min={0}
                max={last}
                step={1}
                value={[from, to]}
                disabled={placed.length < 2}
                aria-label={WORDS.window}
                onValueChange={([a, b]) => {
                  setPlaying(false);
                  setHere(null);
                  setRange([a!, b!]);
                }}
              >
                <Slider.Track className="relative h-3 grow rounded-sm bg-slate/25">
                  <Slider.Range className="absolute h-full rounded-sm bg-slate" />
                </Slider.Track>
                {[WORDS.from, WORDS.to].map((name, i) => (
                  <Slider.Thumb
                    key={name}
                    aria-label={name}
                    aria-valuetext={label(placed[i === 0 ? from : to])}
                    className="block size-6 rotate-45 rounded-sm border-2 border-white bg-verdigris focus-visible:outline-3"
                  />
                ))}
              </Slider.Root>
            </div>
            <p role="status" className="mt-1 text-[13px] text-quiet">
              {WORDS.shown(shown.length, placed.length)}: {label(placed[from])}
              {from === to ? "" : ` – ${label(placed[to])}`}
            </p>
          </div>
          {here ? (
            <p className="flex items-center justify-between text-[14px] font-bold">
              {WORDS.here(here.size)}
              <Button size="small" onClick={() => setHere(null)}>
                {WORDS.whole}
              </Button>
            </p>
          ) : null}
          <ol className="flex flex-col">
            {listed.map((e) => (
              <li key={e.id}>
                <button
                  type="button"
                  aria-current={e.id === selected || undefined}
                  className={classes(
                    "grid w-full grid-cols-[minmax(0,1fr)_auto] gap-x-3 rounded-md px-2 py-1.5 text-left hover:bg-verdigris-wash",
                    e.id === selected && "bg-sun-wash",
                  )}
                  onClick={() => {
                    const at = placed.indexOf(e);
                    if (at < from || at > to) setRange([Math.min(from, at), Math.max(to, at)]);
                    select(e.id);
                  }}
                >
                  <span className="truncate font-bold">{e.title || WORDS.untitled}</span>
                  <span className="text-[13px] text-quiet">{e.place}</span>
                  <span className="text-[13px] text-quiet">{label(e)}</span>
                </button>
              </li>
            ))}
          </ol>
          {chosen >= 0 && (chosen < from || chosen > to) ? (
            <Button size="small" className="w-fit" onClick={() => setRange(null)}>
              {WORDS.whole}
            </Button>
          ) : null}
        </div>
      )}
      {all.length > placed.length ? (
        <p className="mt-4 text-[13px] text-quiet">{WORDS.without(all.length - placed.length)}</p>
      ) : null}
    </Frame>
  );
}
