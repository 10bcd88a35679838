"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { secondText } from "@/core/text/webvtt";
import { type RefObject, useState } from "react";
import type { Item } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { TextField } from "../sheet/text-field";
import { useEditor } from "../store/editor-context";
import { showStill } from "../store/media-deeds";
import { frameOf, type UploadedMedia } from "@/ui/upload";
import { SecondField } from "./second-field";
import { SubtitlesField } from "./subtitles-field";

/** What of a video or sound is played, what is said in it, and of a video its still and its subtitles. */
export function PlayedPart({ item, player }: { item: Item; player: RefObject<HTMLMediaElement | null> }) {
  const { store } = useEditor();
  const set = (field: "startAt" | "endAt") => (at: number | null) => {
    const [from, to] = field === "startAt" ? [at, item.endAt] : [item.startAt, at];
    if (from !== null && to !== null && to <= from) return WORDS.endsBefore;
    return store.edit([{ kind: "set_item", id: item.id, field, value: at }], `item:${item.id}:${field}`);
  };
  return (
    <>
      <div className="mb-2 grid grid-cols-2 gap-2">
        <SecondField
          label={WORDS.playedFrom}
          value={item.startAt}
          mayBeEmpty
          placeholder={WORDS.secondsExample}
          onChange={set("startAt")}
        />
        <SecondField
          label={WORDS.playedTo}
          value={item.endAt}
          mayBeEmpty
          placeholder={item.length === null ? WORDS.secondsExample : secondText(Math.round(item.length * 10) / 10)}
          onChange={set("endAt")}
        />
      </div>
      {item.kind === "video" && item.player === "" ? (
        <div className="mb-2 flex flex-wrap gap-x-4 gap-y-1">
          <ChooseStill item={item} player={player} />
          <SubtitlesField item={item} />
        </div>
      ) : null}
      <div className="mb-2">
        <TextField
          label={WORDS.spokenText}
          hint={WORDS.spokenHint}
          value={item.spoken}
          multiline
          onChange={(value) =>
            store.edit([{ kind: "set_item", id: item.id, field: "spoken", value }], `item:${item.id}:spoken`)
          }
        />
      </div>
    </>
  );
}

function ChooseStill({ item, player }: { item: Item; player: RefObject<HTMLMediaElement | null> }) {
  const { store } = useEditor();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async () => {
    setProblem(null);
    const frame = player.current instanceof HTMLVideoElement ? await frameOf(player.current) : null;
    if (!frame) return setProblem(WORDS.noFrame);
    setBusy(true);
    const answer = await askServer<UploadedMedia>(
      "PUT",
      `/api/timelines/${store.timelineId}/media/${item.media}/still?anew=1`,
      frame,
    );
    setBusy(false);
    setProblem(answer.ok ? showStill(store, item, answer.value) : answer.sentence);
  };
  return (
    <div>
      <Button size="small" disabled={busy} onClick={() => void take()}>
        {busy ? WORDS.takingFrame : WORDS.takeThisFrame}
      </Button>
      <Problem text={problem} className="mt-1 text-[13px]" />
    </div>
  );
}
