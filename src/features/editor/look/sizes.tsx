"use client";

import { useEffect, useRef, useState } from "react";
import { LOOKS, type LookName } from "@/core/timeline/looks";
import { WORDS } from "@/core/words/looks";
import { INPUT } from "@/ui/controls/field";

/** The screens a draft is looked at on: px of CSS. */
const DEVICES = {
  laptop: { width: 1280, height: 800 },
  tablet: { width: 820, height: 1180 },
  phone: { width: 390, height: 844 },
} as const;
type Device = keyof typeof DEVICES;
const ALL = Object.keys(DEVICES) as Device[];
const VIEWS = Object.keys(WORDS.viewNames) as (keyof typeof WORDS.viewNames)[];

/** Between frames, and around them, px. */
const GAP = 24;
/** What stands over each frame, px. */
const NAME = 30;

/** The draft in frames of the sizes readers have, side by side or one at a time, in any look. */
export function Sizes({ timeline, title, look }: { timeline: string; title: string; look: LookName }) {
  const [shown, setShown] = useState<Device | "all">("all");
  const [tried, setTried] = useState<LookName | "">("");
  const [view, setView] = useState<(typeof VIEWS)[number]>("chart");
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 1_200, height: 640 });
  useEffect(() => {
    // On a phone three screens side by side would be stamps.
    if (window.innerWidth < DEVICES.tablet.width) setShown("phone");
    const box = room.current;
    if (!box) return;
    const watch = new ResizeObserver(() => setSize({ width: box.clientWidth, height: box.clientHeight }));
    watch.observe(box);
    return () => watch.disconnect();
  }, []);
  const devices = shown === "all" ? ALL : [shown];
  const across = devices.reduce((sum, d) => sum + DEVICES[d].width, 0);
  const tallest = Math.max(...devices.map((d) => DEVICES[d].height));
  // As large as all of them have room for, and never larger than they are.
  const scale = Math.min(
    1,
    (size.width - GAP * (devices.length + 1)) / across,
    (size.height - NAME - 2 * GAP) / tallest,
  );
  const address = `/timelines/${timeline}/reader?${tried ? `look=${tried}` : ""}#${view}`;
  const select = (
    label: string,
    value: string,
    options: readonly (readonly [string, string])[],
    set: (v: string) => void,
  ) => (
    <label className="flex items-center gap-2 text-[14px]">
      {label}
      <select className={`${INPUT} w-auto`} value={value} onChange={(e) => set(e.target.value)}>
        {options.map(([v, name]) => (
          <option key={v} value={v}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <div className="flex h-dvh flex-col overflow-hidden">
      <header className="flex min-h-14 shrink-0 flex-wrap items-center gap-x-5 gap-y-1.5 border-b border-line bg-panel px-[18px] py-1.5">
        <h1 className="me-auto min-w-0 truncate text-[18px]">{WORDS.sizesTitle(title)}</h1>
        {select(
          WORDS.shown,
          shown,
          [["all", WORDS.sideBySide] as const, ...ALL.map((d) => [d, WORDS.devices[d]] as const)],
          (v) => setShown(v as Device | "all"),
        )}
        {select(
          WORDS.inLook,
          tried,
          [
            ["", `${WORDS.ownLook}: ${WORDS.names[look]}`] as const,
            ...LOOKS.filter((l) => l !== look).map((l) => [l, WORDS.names[l]] as const),
          ],
          (v) => setTried(v as LookName | ""),
        )}
        {select(
          WORDS.view,
          view,
          VIEWS.map((v) => [v, WORDS.viewNames[v]] as const),
          (v) => setView(v as (typeof VIEWS)[number]),
        )}
        <a href={`/timelines/${timeline}`} className="font-bold text-verdigris underline">
          {WORDS.backToEditor}
        </a>
      </header>
      <main
        ref={room}
        className="flex min-h-0 flex-1 items-start overflow-auto bg-line [justify-content:safe_center]"
        style={{ gap: GAP, padding: GAP }}
      >
        {devices.map((d) => {
          const { width, height } = DEVICES[d];
          return (
            <figure key={d} className="m-0 shrink-0">
              <figcaption
                className="truncate text-[14px] font-bold"
                style={{ height: NAME, maxWidth: Math.max(90, width * scale) }}
              >
                {WORDS.deviceFrame(WORDS.devices[d], width, height)}
              </figcaption>
              <div
                className="overflow-hidden rounded-md border border-edge bg-white shadow-md"
                style={{ width: width * scale, height: height * scale }}
              >
                {/* Another look, or another view, is another page. */}
                <iframe
                  key={`${tried} ${view}`}
                  title={WORDS.deviceFrame(WORDS.devices[d], width, height)}
                  src={address}
                  width={width}
                  height={height}
                  className="origin-top-left border-0"
                  style={{ transform: `scale(${scale})` }}
                />
              </div>
            </figure>
          );
        })}
      </main>
    </div>
  );
}
