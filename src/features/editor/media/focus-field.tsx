"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { useState } from "react";
import type { Focus } from "@/core/timeline/fields";
import type { Item } from "@/core/timeline/timeline";
import { Button } from "@/ui/controls/button";
import { useEditor } from "../store/editor-context";

/** What of a picture is seen where it is cropped: pressed on the picture, or set by keys. */
export function FocusField({ item, url }: { item: Item; url: string }) {
  const { store } = useEditor();
  const [open, setOpen] = useState(false);
  const { x, y } = item.focus ?? { x: 50, y: 50 };
  const set = (focus: Focus | null) =>
    store.edit([{ kind: "set_item", id: item.id, field: "focus", value: focus }], `item:${item.id}:focus`);
  if (!open)
    return (
      <button
        type="button"
        className="mb-2 min-h-6 w-fit text-[13px] font-bold text-verdigris underline"
        onClick={() => setOpen(true)}
      >
        {WORDS.whatIsSeen}
      </button>
    );
  // The picture's room is kept before it has come, so that nothing under it moves away from a press.
  const room =
    item.width && item.height
      ? {
          width: `min(100%, ${Math.min(item.width, (240 * item.width) / item.height)}px)`,
          aspectRatio: `${item.width} / ${item.height}`,
        }
      : undefined;
  const slider = (label: string, value: number, change: (value: number) => void) => (
    <label className="flex items-center gap-2 text-[13px] text-quiet">
      <span className="w-[13em]">{label}</span>
      <input
        type="range"
        min={0}
        max={100}
        step={5}
        value={value}
        className="min-w-0 flex-1 accent-verdigris"
        onChange={(e) => change(Number(e.target.value))}
      />
    </label>
  );
  return (
    <fieldset className="mb-2 w-full rounded-md bg-panel p-2">
      <legend className="sr-only">{WORDS.whatIsSeen}</legend>
      <p className="mb-1.5 text-[13px] text-quiet">{WORDS.pressWhatMatters}</p>
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the sliders under it do the same by keys */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: as above */}
      <div
        className={`relative mb-2 cursor-crosshair overflow-hidden rounded ${room ? "" : "w-fit"}`}
        style={room}
        data-testid="focus"
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          const share = (at: number, from: number, size: number) =>
            Math.max(0, Math.min(100, Math.round(((at - from) / size) * 1_000) / 10));
          set({ x: share(e.clientX, box.left, box.width), y: share(e.clientY, box.top, box.height) });
        }}
      >
        <img src={url} alt="" className={room ? "size-full" : "max-h-[240px] max-w-full"} draggable={false} />
        <span
          aria-hidden="true"
          className="pointer-events-none absolute size-7 -translate-x-1/2 -translate-y-1/2 rounded-full border-3 border-sun outline-2 outline-slate"
          style={{ left: `${x}%`, top: `${y}%` }}
        />
      </div>
      {slider(WORDS.across, x, (value) => set({ x: value, y }))}
      {slider(WORDS.down, y, (value) => set({ x, y: value }))}
      <div className="mt-2 flex gap-2">
        <Button size="small" disabled={item.focus === null} onClick={() => set(null)}>
          {WORDS.theMiddle}
        </Button>
        <Button size="small" onClick={() => setOpen(false)}>
          {WORDS.close}
        </Button>
      </div>
    </fieldset>
  );
}
