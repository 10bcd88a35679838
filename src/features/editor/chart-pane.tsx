"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import { drawChart } from "@/core/chart/draw-chart";
import type { Target } from "@/core/chart/scene";
import { whenLabel } from "@/core/time/write-when";
import { Modal } from "@/ui/controls/modal";
import { paintCanvas } from "@/ui/stage/paint-canvas";
import { useEditor, useEditorState } from "./editor-context";

/** The chart: a canvas that paints everything, and real buttons over what can be reached. */
export function ChartPane({ selected, hidden }: { selected: string | null; hidden: ReadonlySet<string> }) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const pictures = useRef(new Map<string, HTMLImageElement>());
  const [frame, setFrame] = useState<{ width: number; height: number } | null>(null);
  const [painted, setPainted] = useState(0);
  const [more, setMore] = useState<string[] | null>(null);

  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const watch = new ResizeObserver(() =>
      setFrame({ width: Math.max(280, element.clientWidth), height: Math.max(160, element.clientHeight) }),
    );
    watch.observe(element);
    const again = () => setPainted((n) => n + 1);
    document.fonts.addEventListener("loadingdone", again);
    return () => {
      watch.disconnect();
      document.fonts.removeEventListener("loadingdone", again);
    };
  }, []);

  const scene = useMemo(
    () => (frame ? drawChart(timeline, frame, { selected, hidden }) : null),
    [timeline, frame, selected, hidden],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: `painted` says that fonts or pictures have arrived
  useEffect(() => {
    if (!scene || !canvas.current) return;
    paintCanvas(canvas.current, scene, window.devicePixelRatio || 1, (item) => {
      const known = pictures.current.get(item);
      if (known) return known.complete && known.naturalWidth > 0 ? known : null;
      const media = timeline.items.get(item)?.media;
      if (!media) return null;
      const image = new Image();
      image.onload = () => setPainted((n) => n + 1);
      image.src = `/api/timelines/${store.timelineId}/media/${media}/small`;
      pictures.current.set(item, image);
      return null;
    });
  }, [scene, painted, timeline.items, store.timelineId]);

  const walk = (from: Target, step: 1 | -1) => {
    const list = scene?.targets ?? [];
    const next = list[list.indexOf(from) + step];
    if (!next) return;
    box.current?.querySelector<HTMLButtonElement>(`[data-target="${next.kind}-${next.ids[0]}"]`)?.focus();
    if (next.kind === "event") select(next.ids[0]!);
  };
  const empty = timeline.events.size === 0 || [...timeline.events.values()].every((e) => e.deleted);
  return (
    <div ref={box} className="absolute inset-0 overflow-y-auto overflow-x-hidden bg-white" data-testid="chart">
      {scene ? (
        <div className="relative" style={{ width: scene.width, height: scene.height }} role="group" aria-label="Chart">
          {/* biome-ignore lint/a11y/noAriaHiddenOnFocusable: a canvas without a tabindex takes no focus */}
          <canvas ref={canvas} style={{ width: scene.width, height: scene.height }} aria-hidden="true" />
          {scene.targets.map((t) => (
            <button
              type="button"
              key={`${t.kind}-${t.ids[0]}`}
              data-target={`${t.kind}-${t.ids[0]}`}
              className="absolute rounded bg-transparent hover:bg-sun/15"
              style={{ left: t.x, top: t.y, width: t.w, height: t.h }}
              aria-label={t.name}
              aria-current={t.ids[0] === selected ? "true" : undefined}
              onClick={() => (t.kind === "event" ? select(t.ids[0]!, true) : setMore(t.ids))}
              onKeyDown={(e) => {
                if (e.key === "ArrowRight" || e.key === "ArrowDown") {
                  e.preventDefault();
                  walk(t, 1);
                }
                if (e.key === "ArrowLeft" || e.key === "ArrowUp") {
                  e.preventDefault();
                  walk(t, -1);
                }
              }}
            />
          ))}
        </div>
      ) : null}
      {empty ? (
        <p className="pointer-events-none absolute inset-x-0 bottom-6 px-6 text-center text-quiet">
          The chart draws itself as you write events below – for example{" "}
          <strong>about 1840 - 1852 Steam mill #trade</strong>.
        </p>
      ) : null}
      <Modal
        title={`${more?.length ?? 0} events without room for a label`}
        open={more !== null}
        onOpenChange={() => setMore(null)}
      >
        <ul className="divide-y divide-line">
          {(more ?? []).map((id) => {
            const e = timeline.events.get(id);
            return e ? (
              <li key={id}>
                <button
                  type="button"
                  className="w-full py-2 text-left hover:bg-verdigris-wash"
                  onClick={() => {
                    setMore(null);
                    select(id, true);
                  }}
                >
                  <span className="mr-2 font-bold text-verdigris">{whenLabel(e.when, timeline.dateStyle)}</span>
                  {e.title || "Untitled"}
                </button>
              </li>
            ) : null;
          })}
        </ul>
      </Modal>
    </div>
  );
}
