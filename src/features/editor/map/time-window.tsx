"use client";

import { Slider } from "radix-ui";
import { useRef } from "react";
import { WORDS } from "@/core/words/places";

/** A window along the events: each end can be moved, and the window as a whole, by dragging and by keys (Shift with an arrow). */
export function TimeWindow({
  last,
  from,
  to,
  text,
  onChange,
}: {
  last: number;
  from: number;
  to: number;
  text: (at: number) => string;
  onChange: (from: number, to: number) => void;
}) {
  const track = useRef<HTMLSpanElement>(null);
  const held = useRef<{ x: number; from: number } | null>(null);
  const moveTo = (wanted: number) => {
    const a = Math.max(0, Math.min(last - (to - from), wanted));
    if (a !== from) onChange(a, a + to - from);
  };
  const whole = from === 0 && to === last;
  return (
    <Slider.Root
      className="relative flex h-8 flex-1 touch-none items-center select-none"
      min={0}
      max={last}
      step={1}
      value={[from, to]}
      disabled={last < 1}
      aria-label={WORDS.window}
      onValueChange={([a, b]) => onChange(a!, b!)}
      onKeyDownCapture={(e) => {
        const step = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key];
        if (!e.shiftKey || step === undefined) return;
        e.preventDefault();
        e.stopPropagation();
        moveTo(from + step);
      }}
    >
      <Slider.Track ref={track} className="relative h-3 grow rounded-sm bg-slate/25">
        <Slider.Range className="absolute h-full rounded-sm bg-slate" />
        {whole || last < 1 ? null : (
          <span
            className="absolute -inset-y-2 cursor-grab touch-none"
            title={WORDS.moveWindow}
            data-testid="window"
            style={{ left: `${(from / last) * 100}%`, right: `${100 - (to / last) * 100}%` }}
            onPointerDown={(e) => {
              // The slider would bring its nearest end here.
              e.preventDefault();
              e.stopPropagation();
              e.currentTarget.setPointerCapture(e.pointerId);
              held.current = { x: e.clientX, from };
            }}
            onPointerMove={(e) => {
              if (!held.current || !track.current) return;
              e.stopPropagation();
              const steps = ((e.clientX - held.current.x) / track.current.clientWidth) * last;
              moveTo(held.current.from + Math.round(steps));
            }}
            onPointerUp={() => {
              held.current = null;
            }}
            onPointerCancel={() => {
              held.current = null;
            }}
          />
        )}
      </Slider.Track>
      {[WORDS.from, WORDS.to].map((name, i) => (
        <Slider.Thumb
          key={name}
          aria-label={name}
          aria-valuetext={text(i === 0 ? from : to)}
          className="block size-6 rotate-45 rounded-sm border-2 border-white bg-verdigris focus-visible:outline-3"
        />
      ))}
    </Slider.Root>
  );
}
