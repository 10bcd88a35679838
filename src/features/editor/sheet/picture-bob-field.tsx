"use client";

import { type TimelineEvent, itemsOf } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-sheet";
import { CheckRow } from "@/ui/controls/check-row";
import { useEditorState } from "../store/editor-context";

/** Whether the picture of a moment stands on the chart in place of its bob; asked of what has a picture, and is no span. */
export function PictureBobField({ event, onChange }: { event: TimelineEvent; onChange: (on: boolean) => void }) {
  const pictured = useEditorState((s) =>
    itemsOf(s.timeline, event.id, "media").some((i) => i.media !== null && i.kind !== "sound" && i.width !== null),
  );
  if (!event.pictureBob && (!pictured || event.when.readAs.kind === "span")) return null;
  return <CheckRow label={WORDS.pictureBob} checked={event.pictureBob} onChange={onChange} />;
}
