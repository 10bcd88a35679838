"use client";

import { WORDS } from "@/core/words/editor-about";
import { itemsOf } from "@/core/timeline/timeline";
import { useEditor, useEditorState } from "../store/editor-context";
import { MediaItem } from "./media-item";
import { useOnTheirWay } from "./on-their-way";
import { OnItsWayRow } from "./on-its-way-row";
import { RecordVoice } from "./record-voice";

/** A recorded voice for the whole timeline: readers hear it where the timeline begins. */
export function WholeVoice() {
  const { uploads, mayRecord } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const onTheirWay = useOnTheirWay().filter((w) => w.of === "timeline" && w.voice);
  const items = itemsOf(timeline, "timeline", "media").filter((i) => i.kind === "sound");
  if (!uploads || (items.length === 0 && !mayRecord)) return null;
  return (
    <section aria-label={WORDS.wholeVoice}>
      <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">{WORDS.wholeVoice}</h3>
      <div className="flex flex-col gap-3">
        {items.map((item, at) => (
          <MediaItem key={item.id} item={item} at={at} of={items.length} grip={null} />
        ))}
        {onTheirWay.map((w) => (
          <OnItsWayRow key={w.key} file={w} />
        ))}
        {items.length === 0 && onTheirWay.length === 0 ? (
          <div>
            <RecordVoice of="timeline" />
          </div>
        ) : null}
      </div>
    </section>
  );
}
