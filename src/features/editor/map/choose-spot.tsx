"use client";

import type { Focus } from "@/core/timeline/fields";
import { WORDS } from "@/core/words/places";
import { INPUT } from "@/ui/controls/field";
import { OwnMapView } from "./map-view";
import type { OwnMap } from "./own-map";

const NO_MARKS: never[] = [];
const MIDDLE = { x: 50, y: 50 };

/** A spot on the map of one's own: pressed, or set by numbers. */
export function ChooseSpot({
  map,
  spot,
  onSpot,
  label,
}: {
  map: OwnMap;
  spot: Focus | null;
  onSpot: (spot: Focus) => void;
  label: string;
}) {
  const { x, y } = spot ?? MIDDLE;
  const number = (name: string, value: number, set: (value: number) => Focus) => (
    <label className="flex-1 text-[13px] text-quiet">
      {name}
      <input
        type="number"
        min={0}
        max={100}
        step={0.5}
        className={INPUT}
        value={spot ? value : ""}
        onChange={(e) => {
          const n = e.target.valueAsNumber;
          if (n >= 0 && n <= 100) onSpot(set(n));
        }}
      />
    </label>
  );
  return (
    <>
      <OwnMapView
        map={map}
        marks={NO_MARKS}
        selected={null}
        chosen={spot}
        onPoint={onSpot}
        label={label}
        className="h-[46vh]"
      />
      <div className="flex gap-3">
        {number(WORDS.across, x, (n) => ({ x: n, y }))}
        {number(WORDS.down, y, (n) => ({ x, y: n }))}
      </div>
    </>
  );
}
