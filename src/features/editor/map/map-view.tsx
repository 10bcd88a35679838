"use client";

import { Maximize2, Minus, Plus } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Focus, Point } from "@/core/timeline/fields";
import { WORDS } from "@/core/words/places";
import type { MapCanvas, MapHooks, MapMark } from "@/ui/map/map-canvas";
import { PictureMap } from "@/ui/map/picture-map";
import { WorldMap } from "@/ui/map/world-map";
import type { OwnMap } from "./own-map";

const TOOL = "flex size-8 items-center justify-center bg-white hover:bg-verdigris-wash max-sm:size-11";

export interface MapViewProps<P> {
  marks: readonly MapMark<P>[];
  selected: string | null;
  chosen?: P | null;
  /** What it shows at first; the marks where nothing is said. */
  around?: readonly P[];
  onPick?: (ids: string[]) => void;
  onPoint?: (at: P) => void;
  label: string;
  className?: string | undefined;
}

const makeWorld = (host: HTMLElement, hooks: MapHooks<Point>) =>
  new WorldMap(
    host,
    {
      coarse: () => import("world-atlas/countries-110m.json").then((m) => m.default),
      fine: () => import("world-atlas/countries-50m.json").then((m) => m.default),
    },
    hooks,
  );

/** A map of the world. What it shows stands in a list beside it too. */
export function WorldView(props: MapViewProps<Point>) {
  return <MapView {...props} make={makeWorld} />;
}

/** The map of one's own. What it shows stands in a list beside it too. */
export function OwnMapView({ map, ...props }: MapViewProps<Focus> & { map: OwnMap }) {
  return <MapView key={map.url} {...props} make={(host, hooks) => new PictureMap(host, map, hooks)} />;
}

function MapView<P>({
  make,
  marks,
  selected,
  chosen = null,
  around,
  onPick,
  onPoint,
  label,
  className,
}: MapViewProps<P> & { make: (host: HTMLElement, hooks: MapHooks<P>) => MapCanvas<P> }) {
  const host = useRef<HTMLDivElement>(null);
  const map = useRef<MapCanvas<P> | null>(null);
  const hooks = useRef({ make, onPick, onPoint });
  hooks.current = { make, onPick, onPoint };
  const first = useRef(around);
  useEffect(() => {
    const made = hooks.current.make(host.current!, {
      ...(hooks.current.onPick ? { pick: (ids: string[]) => hooks.current.onPick?.(ids) } : {}),
      ...(hooks.current.onPoint ? { point: (at: P) => hooks.current.onPoint?.(at) } : {}),
    });
    map.current = made;
    // For tests, which press where something stands.
    Object.assign(host.current!, { map: made });
    made.fit(first.current);
    return () => made.destroy();
  }, []);
  useEffect(() => {
    map.current?.show(marks, selected, chosen);
    // What is chosen elsewhere comes into view.
    const at = marks.find((m) => m.id === selected)?.at;
    if (at) map.current?.bring(at);
  }, [marks, selected, chosen]);
  return (
    <div className={`relative overflow-hidden rounded-md border border-line ${className ?? ""}`}>
      <div ref={host} role="img" aria-label={label} className="absolute inset-0" data-testid="map" />
      <div className="absolute end-2 bottom-2 flex flex-col divide-y divide-line overflow-hidden rounded-md border border-edge">
        <button type="button" className={TOOL} aria-label={WORDS.nearer} onClick={() => map.current?.zoomBy(1.6)}>
          <Plus size={16} />
        </button>
        <button type="button" className={TOOL} aria-label={WORDS.away} onClick={() => map.current?.zoomBy(1 / 1.6)}>
          <Minus size={16} />
        </button>
        <button type="button" className={TOOL} aria-label={WORDS.all} onClick={() => map.current?.fit(around)}>
          <Maximize2 size={15} />
        </button>
      </div>
    </div>
  );
}
