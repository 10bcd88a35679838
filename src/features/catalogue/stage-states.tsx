"use client";

import { useEffect, useRef } from "react";
import { WORDS } from "@/core/words/catalogue";
import { ChartStage } from "@/ui/stage/chart-stage";
import { STAGE_STYLE } from "@/ui/stage/stage-style";
import { type StageState, type StateName, STATES } from "./sample-timelines";

/** The chart in each of its states, as the editor and the reader's page mount it. */
export function StageStates() {
  return (
    <>
      <style>{STAGE_STYLE}</style>
      <div className="grid gap-6 lg:grid-cols-2">
        {(Object.keys(STATES) as StateName[]).map((name) => (
          <section key={name} aria-label={WORDS.states[name]} className="min-w-0">
            <h3 className="mb-1 text-[15px]">{WORDS.states[name]}</h3>
            <Stage state={STATES[name]} />
          </section>
        ))}
      </div>
    </>
  );
}

function Stage({ state }: { state: StageState }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const stage = new ChartStage(
      box.current!,
      {
        pictureUrl: () => null,
        select: (id) => stage.select(id),
        list: () => {},
        seen: () => {},
        footInset: 0,
        add: null,
      },
      () => new Worker(new URL("../../workers/chart.worker.ts", import.meta.url), { type: "module" }),
    );
    stage.show({
      timeline: state.timeline,
      hidden: new Set(),
      upright: state.upright ?? false,
      rows: state.rows ? new Set(state.rows) : null,
      ...(state.board ? { board: true } : {}),
    });
    if (state.view) stage.lookAtText(state.view);
    if (state.selected) stage.select(state.selected);
    return () => stage.destroy();
  }, [state]);
  return <div ref={box} className="relative h-[340px] overflow-auto rounded-md border border-line" />;
}
