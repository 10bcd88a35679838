"use client";

import { useMemo, useState } from "react";
import { COMMENTS, WORDS } from "@/core/words/together";
import { rowsOf } from "@/core/timeline/order";
import { CommentThreads } from "@/ui/comments/comment-threads";
import { SuggestionList } from "@/ui/comments/suggestion-list";
import { Frame } from "../sheet/frame";
import { useEditor, useEditorState } from "../store/editor-context";

const MOST_WORDS = 300;

/** The words of a description that are selected, as the panel opens. */
function chosenWords(): string {
  const chosen = document.getSelection();
  const at = chosen?.anchorNode instanceof Element ? chosen.anchorNode : chosen?.anchorNode?.parentElement;
  return at?.closest(".ProseMirror") ? chosen!.toString().replaceAll(/\s+/g, " ").trim().slice(0, MOST_WORDS) : "";
}

/** What was said about the timeline and its events, and the field to say more; begins at what is selected. */
export function CommentsPanel({ selected, onClose }: { selected: string | null; onClose: () => void }) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const [about, setAbout] = useState(selected ?? "");
  const [words, setWords] = useState(selected ? chosenWords : "");
  const titles = useMemo(
    () => rowsOf(timeline.events).map((e) => ({ id: e.id, title: e.title || WORDS.untitled })),
    [timeline.events],
  );
  return (
    <Frame title={COMMENTS.comments} onClose={onClose}>
      <SuggestionList timeline={store.timelineId} />
      <CommentThreads
        timeline={store.timelineId}
        titles={titles}
        about={about}
        onAbout={(event) => {
          setAbout(event);
          setWords("");
        }}
        words={words}
        onWords={setWords}
        onOpen={(event) => {
          setAbout(event);
          select(event);
        }}
        onRefused={(sentence) => store.say(sentence)}
      />
    </Frame>
  );
}
