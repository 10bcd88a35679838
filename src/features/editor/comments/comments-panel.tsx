"use client";

import { useMemo, useState } from "react";
import { COMMENTS, WORDS } from "@/core/words/en/together";
import { rowsOf } from "@/core/timeline/order";
import { CommentThreads } from "@/ui/comments/comment-threads";
import { Frame } from "../sheet/frame";
import { useEditor, useEditorState } from "../store/editor-context";

/** What was said about the timeline and its events, and the field to say more; begins at what is selected. */
export function CommentsPanel({ selected, onClose }: { selected: string | null; onClose: () => void }) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const [about, setAbout] = useState(selected ?? "");
  const titles = useMemo(
    () => rowsOf(timeline.events).map((e) => ({ id: e.id, title: e.title || WORDS.untitled })),
    [timeline.events],
  );
  return (
    <Frame title={COMMENTS.comments} onClose={onClose}>
      <CommentThreads
        timeline={store.timelineId}
        titles={titles}
        about={about}
        onAbout={setAbout}
        onOpen={(event) => {
          setAbout(event);
          select(event);
        }}
        onRefused={(sentence) => store.say(sentence)}
      />
    </Frame>
  );
}
