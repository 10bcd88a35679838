"use client";

import { Pause, Play } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { pointOf, spotOf } from "@/core/places/own-map";
import { whenLabel } from "@/core/time/write-when";
import { orderOf } from "@/core/timeline/order";
import { mannerOf } from "@/core/timeline/read-options";
import { HOUSE_STYLE, paintedColour } from "@/core/looks/style";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/places";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Frame } from "../sheet/frame";
import { useEditor, useEditorState } from "../store/editor-context";
import { OwnMapView, WorldView } from "./map-view";
import { useOwnMap } from "./own-map";
import { OwnMapField } from "./own-map-field";
import { TimeWindow } from "./time-window";

/** How long each event stands while it plays, ms. */
const STEP_MS = 700;

/** Events with a place, on a map and in a list, with a window in time that can be moved and plays. */
export function MapPanel({ selected, onClose }: { selected: string | null; onClose: () => void }) {
  const { select, uploads } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const { map, fit } = useOwnMap();
  const [wished, setWished] = useState<"world" | "own" | null>(null);
  const own = map !== null && wished !== "world";
  const all = useMemo(() => orderOf(timeline.events), [timeline.events]);
  const placed = useMemo(() => all.filter((e) => (own ? spotOf(e, fit) : pointOf(e, fit)) !== null), [all, own, fit]);
  const last = Math.max(0, placed.length - 1);
  const [range, setRange] = useState<[number, number] | null>(null);
  const [playing, setPlaying] = useState(false);
  const [here, setHere] = useState<ReadonlySet<string> | null>(null);
  const [from, to] = range ? [Math.min(range[0], last), Math.min(range[1], last)] : [0, last];
  const shown = useMemo(() => placed.slice(from, to + 1), [placed, from, to]);
  const manner = useMemo(() => mannerOf(timeline), [timeline]);
  const marked = useMemo(
    () =>
      shown.map((e) => {
        const category = timeline.categories.get(e.category ?? "");
        const colour = category && !category.deleted ? paintedColour(HOUSE_STYLE, category.colour) : HOUSE_STYLE.none;
        return { id: e.id, colour, spot: spotOf(e, fit), point: pointOf(e, fit) };
      }),
    [shown, timeline.categories, fit],
  );
  const onOwn = useMemo(() => marked.flatMap((m) => (m.spot ? [{ ...m, at: m.spot }] : [])), [marked]);
  const onEarth = useMemo(() => marked.flatMap((m) => (m.point ? [{ ...m, at: m.point }] : [])), [marked]);
  const around = useMemo(() => placed.flatMap((e) => pointOf(e, fit) ?? []), [placed, fit]);
  // What is chosen on the chart is shown on the map too, even outside of the window.
  const chosen = placed.findIndex((e) => e.id === selected);
  useEffect(() => {
    if (chosen >= 0)
      setRange((r) => (r && (chosen < r[0] || chosen > r[1]) ? [Math.min(r[0], chosen), Math.max(r[1], chosen)] : r));
  }, [chosen]);
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
  const pick = (ids: string[]) => {
    if (ids.length === 1) {
      setHere(null);
      select(ids[0]!);
    } else setHere(new Set(ids));
  };
  const label = (e: TimelineEvent | undefined) => (e ? whenLabel(e.when, manner) : "");
  const listed = here ? placed.filter((e) => here.has(e.id)) : shown;
  const look = { selected, onPick: pick, className: "h-[38vh] min-h-[240px]" };
  return (
    <Frame title={WORDS.map} onClose={onClose}>
      {map ? (
        <div role="radiogroup" aria-label={WORDS.whichMap} className="mb-3 flex gap-1">
          {(["own", "world"] as const).map((which) => (
            <button
              key={which}
              type="button"
              role="radio"
              aria-checked={own === (which === "own")}
              className={classes(
                "min-h-8 rounded-md border px-3 text-[14px] font-bold",
                own === (which === "own") ? "border-slate bg-slate text-white" : "border-edge hover:bg-verdigris-wash",
              )}
              onClick={() => {
                setWished(which);
                setRange(null);
                setHere(null);
                setPlaying(false);
              }}
            >
              {which === "own" ? WORDS.ownMap : WORDS.world}
            </button>
          ))}
        </div>
      ) : null}
      {placed.length === 0 && !own ? (
        <p className="text-quiet">{WORDS.none}</p>
      ) : (
        <div className="flex flex-col gap-3">
          <p className="text-[13px] text-quiet">{placed.length === 0 ? WORDS.noneOnOwn : WORDS.mapHelp}</p>
          {own ? (
            <OwnMapView map={map} marks={onOwn} label={WORDS.ownMapOf(onOwn.length)} {...look} />
          ) : (
            <WorldView marks={onEarth} around={around} label={WORDS.mapOf(onEarth.length)} {...look} />
          )}
          <div>
            <div className="flex items-center gap-3">
              <Button size="small" disabled={placed.length < 2} onClick={play}>
                {playing ? <Pause size={14} /> : <Play size={14} />} {playing ? WORDS.stop : WORDS.play}
              </Button>
              <TimeWindow
                last={last}
                from={from}
                to={to}
                text={(i) => label(placed[i])}
                onChange={(a, b) => {
                  setPlaying(false);
                  setHere(null);
                  setRange([a, b]);
                }}
              />
            </div>
            <p role="status" className="mt-1 text-[13px] text-quiet">
              {WORDS.shown(shown.length, placed.length)}
              {placed.length === 0 ? "" : `: ${label(placed[from])}`}
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
                    "grid w-full grid-cols-[minmax(0,1fr)_auto] gap-x-3 rounded-md px-2 py-1.5 text-start hover:bg-verdigris-wash",
                    e.id === selected && "bg-sun-wash",
                  )}
                  onClick={() => select(e.id)}
                >
                  <span className="truncate font-bold">{e.title || WORDS.untitled}</span>
                  <span className="text-[13px] text-quiet">{e.place}</span>
                  <span className="text-[13px] text-quiet">{label(e)}</span>
                </button>
              </li>
            ))}
          </ol>
        </div>
      )}
      {all.length > placed.length ? (
        <p className="mt-4 text-[13px] text-quiet">
          {(own ? WORDS.withoutOwn : WORDS.without)(all.length - placed.length)}
        </p>
      ) : null}
      {uploads ? <OwnMapField className="mt-5 border-t border-line pt-4" /> : null}
    </Frame>
  );
}
