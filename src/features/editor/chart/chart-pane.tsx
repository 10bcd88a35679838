"use client";

import { WORDS } from "@/core/words/editor-chart";
import { ArrowDownUp, Crosshair, Maximize2, Minus, Plus, Rows3 } from "lucide-react";
import { useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import type { Op } from "@/core/change/change";
import { whenLabel } from "@/core/time/write-when";
import type { Scale } from "@/core/timeline/fields";
import { Hint } from "@/ui/controls/hint";
import { Modal } from "@/ui/controls/modal";
import { classes } from "@/ui/classes";
import { ChartStage } from "@/ui/stage/chart-stage";
import { BOARD_SCALE } from "@/ui/stage/stage-hooks";
import { STAGE_STYLE } from "@/ui/stage/stage-style";
import { addAt, dateOps, moveCategory, moveUndated } from "../store/event-deeds";
import { dropMedia } from "../media/on-their-way";
import { eventCard } from "./event-card";
import { useEditor, useEditorState } from "../store/editor-context";
import { Meeting } from "./meeting";
import { mannerOf } from "@/core/timeline/read-options";
import type { LookName } from "@/core/timeline/looks";
import type { Timeline } from "@/core/timeline/timeline";
import { filterFor, type SeenBy, SeenByFilters } from "../look/seen-by";

/** Px at the right of the chart's foot for the scale and the zoom buttons. */
const FOOT_INSET = 402;
const FOOT_INSET_PHONE = 276;

const SCALES: readonly Scale[] = ["balanced", "true", "even"];

/** The part of the address that holds the view. */
function addressedView(): string {
  return new URLSearchParams(window.location.hash.slice(1)).get("view") ?? "";
}

function readSeenAs(key: string): { rows?: boolean; upright?: boolean } {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "{}") as { rows?: boolean; upright?: boolean };
  } catch {
    return {};
  }
}

/** A timeline of more events is drawn when what one does has been shown. */
const LARGE = 1_000;

/** The timeline as it is drawn: of a large one the chart follows a moment after the ledger, so that nobody waits for it. */
function useSettled(): Timeline {
  const now = useEditorState((s) => s.timeline);
  const late = useDeferredValue(now);
  return now.events.size > LARGE ? late : now;
}

/** The chart with its foot: how time is drawn, and how near. */
export function ChartPane({
  selected,
  hidden,
  only = null,
  board = false,
  tried = null,
  seenBy = "all",
}: {
  selected: string | null;
  hidden: ReadonlySet<string>;
  /** The events that are shown; null: all. */
  only?: ReadonlySet<string> | null;
  /** Large, and everything can be moved by a finger. */
  board?: boolean;
  /** A look that is only tried; null: its own. */
  tried?: LookName | null;
  /** As whom it is looked at. */
  seenBy?: SeenBy;
}) {
  const { store, uploads, select, begin } = useEditor();
  const timeline = useSettled();
  const filtered = useMemo(
    () => (only ? { ...timeline, events: new Map([...timeline.events].filter(([id]) => only.has(id))) } : timeline),
    [timeline, only],
  );
  const shown = useMemo(() => (tried ? { ...filtered, look: tried } : filtered), [filtered, tried]);
  const mayEdit = useEditorState((s) => s.saving !== "right_lost");
  const box = useRef<HTMLDivElement>(null);
  const stage = useRef<ChartStage | null>(null);
  const [list, setList] = useState<string[] | null>(null);
  const [seen, setSeen] = useState({ text: "", whole: true });
  const [upright, setUpright] = useState<boolean | null>(null);
  const [rows, setRows] = useState<ReadonlySet<number> | null>(null);
  // How somebody last looked at a timeline is kept on their device.
  const seenAs = `fastigo-chart-${store.timelineId}`;
  useEffect(() => {
    const known = readSeenAs(seenAs);
    if (known.rows) setRows(new Set());
    if (known.upright !== undefined) setUpright(known.upright);
  }, [seenAs]);
  const look = (as: { rows?: boolean; upright?: boolean }) => {
    setRows(as.rows ? new Set() : null);
    setUpright(as.upright ?? null);
    try {
      localStorage.setItem(seenAs, JSON.stringify(as));
    } catch {
      // Where a browser keeps nothing, it is as usual next time.
    }
  };
  const [narrow, setNarrow] = useState(false);
  useEffect(() => setNarrow(window.innerWidth < 560), []);

  const [meeting, setMeeting] = useState<[string, string][]>([]);

  useEffect(() => {
    const edit = (ops: Op[], group: string) => {
      if (store.getState().saving !== "right_lost") store.edit(ops, group);
    };
    const made = new ChartStage(
      box.current!,
      {
        pictureUrl: (item, size) => {
          const media = store.getState().timeline.items.get(item)?.media;
          return media ? `/api/timelines/${store.timelineId}/media/${media}/${size}` : null;
        },
        select,
        card: (id) =>
          eventCard(
            store.getState().timeline,
            id,
            (media) => `/api/timelines/${store.timelineId}/media/${media}/medium`,
          ),
        list: setList,
        seen: (text, whole) => {
          setSeen({ text, whole });
          const address = text ? `#view=${text}` : window.location.pathname + window.location.search;
          if (addressedView() !== text) window.history.replaceState(window.history.state, "", address);
        },
        footInset: board ? 0 : window.innerWidth < 640 ? FOOT_INSET_PHONE : FOOT_INSET,
        fold: (look) =>
          setRows((now) => {
            const next = new Set(now ?? []);
            if (!next.delete(look)) next.add(look);
            return next;
          }),
        closeUp: (id, open) => {
          if (store.getState().saving !== "right_lost")
            store.edit([{ kind: "set_event", id, field: "closeUp", value: open ? "open" : "closed" }]);
        },
        moves: {
          spot: (id, spot) => edit([{ kind: "set_event", id, field: "spot", value: spot }], `spot:${id}`),
          when: (id, when) => edit(dateOps(store.getState().timeline, id, when), `when:${id}`),
          place: (id, target, side) => {
            if (store.getState().saving !== "right_lost") moveUndated(store, id, target, side);
          },
          lane: (look, before) => {
            if (store.getState().saving !== "right_lost") moveCategory(store, look, before);
          },
          say: (sentence) => store.say(sentence),
        },
        meeting: setMeeting,
        add: (place, within) => {
          if (store.getState().saving !== "right_lost") begin(addAt(store, place, within));
        },
      },
      () => new Worker(new URL("../../../workers/chart.worker.ts", import.meta.url), { type: "module" }),
    );
    stage.current = made;
    // For the speed tests, which measure the application itself.
    (box.current as HTMLDivElement & { stage?: ChartStage }).stage = made;
    made.lookAtText(addressedView());
    const moved = () => made.lookAtText(addressedView());
    window.addEventListener("hashchange", moved);
    return () => {
      window.removeEventListener("hashchange", moved);
      made.destroy();
    };
  }, [store, select, begin, board]);
  useEffect(
    () => stage.current?.show({ timeline: shown, hidden, upright, rows, board }),
    [shown, hidden, upright, rows, board],
  );
  useEffect(() => stage.current?.select(selected), [selected]);

  const icon = (px: number) => (board ? px * 1.8 : px);
  const empty = timeline.events.size === 0 || [...timeline.events.values()].every((e) => e.deleted);
  const tool = board
    ? "flex h-14 min-w-14 items-center justify-center rounded-md border border-edge bg-white hover:bg-verdigris-wash disabled:opacity-40"
    : "flex h-[26px] min-w-[30px] items-center justify-center rounded-md max-sm:h-11 max-sm:min-w-11 hover:bg-verdigris-wash disabled:opacity-40 disabled:hover:bg-transparent";
  return (
    <div className="absolute inset-0 bg-white">
      <style href="chart-stage" precedence="default">
        {STAGE_STYLE}
      </style>
      {seenBy === "all" ? null : <SeenByFilters />}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: a file is dropped by pointers only; the sheet takes it by keys */}
      <div
        ref={box}
        className={classes("absolute overflow-auto", board ? "top-0 start-0 origin-top-left" : "inset-0")}
        style={{
          ...(seenBy === "all" ? {} : { filter: filterFor(seenBy) }),
          ...(board
            ? {
                width: `${100 / BOARD_SCALE}%`,
                height: `calc((100% - 72px) / ${BOARD_SCALE})`,
                transform: `scale(${BOARD_SCALE})`,
              }
            : {}),
        }}
        data-testid="chart"
        onDragOver={(e) => {
          if (e.dataTransfer.types.includes("Files")) e.preventDefault();
        }}
        onDrop={(e) => {
          const id = stage.current?.eventAt(e.clientX, e.clientY) ?? null;
          if (uploads && id !== null && dropMedia(uploads, id, e.dataTransfer.files)) e.preventDefault();
        }}
      />
      {meeting.length > 0 ? <Meeting pairs={meeting} /> : null}
      {empty ? (
        <p className="pointer-events-none absolute inset-x-0 top-4 z-[1] mx-auto w-fit max-w-[46ch] px-4 text-center max-sm:top-2 max-sm:px-3 max-sm:text-[14px]">
          <span className="inline-block rounded-md bg-panel/95 px-3 py-2 text-slate empty:hidden">
            <Hint name="empty-chart">
              {WORDS.theChartDrawsItselfAs} <strong>{WORDS.about18401852SteamMill}</strong>
              {WORDS.orTapItWhereAn}
            </Hint>
          </span>
        </p>
      ) : null}
      <div
        role="group"
        aria-label={WORDS.howTheChartIsSeen}
        className={classes(
          "absolute end-0 bottom-0 z-[3] flex items-center border-line bg-panel",
          board
            ? "start-0 h-[72px] justify-end gap-3 border-t px-2 text-[20px]"
            : "h-[30px] gap-1 border-t border-s px-2 text-[13px] max-sm:h-11 max-sm:w-[276px] max-sm:justify-end max-sm:gap-0 max-sm:px-1 sm:w-[402px] sm:justify-end",
        )}
      >
        <label className="me-auto flex items-center gap-1 whitespace-nowrap max-sm:hidden">
          {WORDS.scale}
          <select
            className={classes(
              "rounded-md border border-edge bg-white px-1 font-bold",
              board ? "h-14 px-3" : "h-[26px]",
            )}
            value={timeline.scale}
            disabled={!mayEdit}
            onChange={(e) => store.edit([{ kind: "set_timeline", field: "scale", value: e.target.value }])}
          >
            {SCALES.map((value) => (
              <option key={value} value={value}>
                {WORDS.scales[value]}
              </option>
            ))}
          </select>
        </label>
        <button
          type="button"
          className={tool}
          aria-label={WORDS.rowsByCategory}
          aria-pressed={rows !== null}
          title={WORDS.aRowForEachCategory}
          onClick={() => look(rows === null ? { rows: true, upright: false } : {})}
        >
          <Rows3 size={icon(15)} />
        </button>
        <button
          type="button"
          className={tool}
          aria-label={WORDS.uprightChart}
          aria-pressed={upright ?? narrow}
          title={WORDS.theRidgeRunsDown}
          onClick={() => look({ upright: !(upright ?? narrow) })}
        >
          <ArrowDownUp size={icon(15)} />
        </button>
        <button
          type="button"
          className={tool}
          disabled={seen.whole}
          aria-label={WORDS.zoomOut}
          title={WORDS.zoomOut2}
          onClick={() => stage.current?.zoomBy(-1)}
        >
          <Minus size={icon(16)} />
        </button>
        <button
          type="button"
          className={tool}
          aria-label={WORDS.zoomIn}
          title={WORDS.zoomIn2}
          onClick={() => stage.current?.zoomBy(1)}
        >
          <Plus size={icon(16)} />
        </button>
        <button
          type="button"
          className={`${tool} gap-1 px-1`}
          disabled={seen.whole}
          aria-label={WORDS.wholeTimeline}
          title={WORDS.wholeTimeline0}
          onClick={() => stage.current?.whole()}
        >
          <Maximize2 size={icon(14)} />
          <span className="max-sm:hidden">{WORDS.whole}</span>
        </button>
        <button
          type="button"
          className={tool}
          disabled={selected === null}
          aria-label={WORDS.zoomToTheSelectedEvent}
          title={WORDS.zoomToTheSelectedEvent2}
          onClick={() => stage.current?.toSelected()}
        >
          <Crosshair size={icon(15)} />
        </button>
      </div>
      <Modal
        title={WORDS.here(list?.length ?? 0, list?.length === 1 ? WORDS.event : WORDS.events)}
        open={list !== null}
        onOpenChange={() => setList(null)}
      >
        <ul className="divide-y divide-line">
          {(list ?? []).slice(0, 500).map((id) => {
            const e = timeline.events.get(id);
            return e ? (
              <li key={id}>
                <button
                  type="button"
                  className="w-full py-2 text-start hover:bg-verdigris-wash"
                  onClick={() => {
                    setList(null);
                    select(id, true);
                  }}
                >
                  <span className="me-2 font-bold text-verdigris">{whenLabel(e.when, mannerOf(timeline))}</span>
                  {e.title || WORDS.untitled}
                </button>
              </li>
            ) : null;
          })}
        </ul>
        {(list?.length ?? 0) > 500 ? <p className="mt-2 text-quiet">{WORDS.theFirst500TheLedger}</p> : null}
      </Modal>
    </div>
  );
}
