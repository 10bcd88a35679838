"use client";

import { useEffect, useRef } from "react";
import { createPortal } from "react-dom";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { escapeXml, toSvg } from "@/core/chart/draw/to-svg";
import { printedWishes } from "@/core/looks/style";
import { useReady } from "@/ui/use-ready";
import { useEditor } from "./store/editor-context";

/** A4 lying, less its margins, px. */
const FRAME = { width: 1_030, height: 640 };

/** What is printed from the editor by the browser: the chart on one sheet, drawn when it is asked for, and none of the tools. */
export function PrintChart() {
  const { store } = useEditor();
  const box = useRef<HTMLDivElement>(null);
  const ready = useReady();
  useEffect(() => {
    const draw = () => {
      if (!box.current) return;
      const { timeline } = store.getState();
      const scene = drawChart(printedWishes(timeline), FRAME, { fit: true, closeUps: "auto" });
      const svg = toSvg(scene, {
        pictureUrl: (item, size) => {
          const media = timeline.items.get(item)?.media;
          return media && !store.isLocal ? `/api/timelines/${store.timelineId}/media/${media}/${size}` : null;
        },
        prefix: "print",
        ground: true,
        label: timeline.title,
      });
      // Every text in it is escaped.
      box.current.innerHTML = `<h1>${escapeXml(timeline.title)}</h1>${svg}`;
    };
    const clear = () => box.current?.replaceChildren();
    window.addEventListener("beforeprint", draw);
    window.addEventListener("afterprint", clear);
    return () => {
      window.removeEventListener("beforeprint", draw);
      window.removeEventListener("afterprint", clear);
    };
  }, [store]);
  return ready ? createPortal(<div ref={box} className="print-chart" />, document.body) : null;
}
