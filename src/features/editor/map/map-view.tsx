"use client";

import { Maximize2, Minus, Plus } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Point } from "@/core/timeline/fields";
import { WORDS } from "@/core/words/en/places";
import { type MapMark, WorldMap } from "@/ui/map/world-map";

const TOOL = "flex size-8 items-center justify-center bg-white hover:bg-verdigris-wash max-sm:size-11";

/** The map as a part of the interface. What it shows stands in a list beside it too. */
export function MapView({
  marks,
  selected,
  chosen = null,
  around,
  onPick,
  onPoint,
  label,
  className,
}: {
  marks: readonly MapMark[];
  selected: string | null;
  chosen?: Point | null;
  /** What it shows at first; the marks where nothing is said. */
  around?: readonly Point[];
  onPick?: (ids: string[]) => void;
  onPoint?: (at: Point) => void;
  label: string;
  className?: string;
}) {
  const host = useRef<HTMLDivElement>(null);
  const map = useRef<WorldMap | null>(null);
  const hooks = useRef({ onPick, onPoint });
  hooks.current = { onPick, onPoint };
  const first = useRef(around ?? marks);
  useEffect(() => {
    const made = new WorldMap(host.current!, {
      coarse: () => import("world-atlas/countries-110m.json").then((m) => m.default),
      fine: () => import("world-atlas/countries-50m.json").then((m) => m.default),
      ...(hooks.current.onPick ? { pick: (ids: string[]) => hooks.current.onPick?.(ids) } : {}),
      ...(hooks.current.onPoint ? { point: (at: Point) => hooks.current.onPoint?.(at) } : {}),
    });
    map.current = made;
    // For tests, which press where something stands.
    Object.assign(host.current!, { map: made });
    made.fit(first.current);
    return () => made.destroy();
  }, []);
  useEffect(() => map.current?.show(marks, selected, chosen), [marks, selected, chosen]);
  return (
    <div className={`relative overflow-hidden rounded-md border border-line ${className ?? ""}`}>
      <div ref={host} role="img" aria-label={label} className="absolute inset-0" data-testid="map" />
      <div className="absolute right-2 bottom-2 flex flex-col divide-y divide-line overflow-hidden rounded-md border border-edge">
        <button type="button" className={TOOL} aria-label={WORDS.nearer} onClick={() => map.current?.zoomBy(1.6)}>
          <Plus size={16} />
        </button>
        <button type="button" className={TOOL} aria-label={WORDS.away} onClick={() => map.current?.zoomBy(1 / 1.6)}>
          <Minus size={16} />
        </button>
        <button type="button" className={TOOL} aria-label={WORDS.all} onClick={() => map.current?.fit(around ?? marks)}>
          <Maximize2 size={15} />
        </button>
      </div>
    </div>
  );
}
