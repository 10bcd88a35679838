"use client";

import type { RefObject } from "react";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-sheet";
import { Button } from "@/ui/controls/button";
import { EventHistory } from "../history/event-history";
import { useEditor } from "../store/editor-context";
import { wordsIn } from "../words";
import { Frame } from "./frame";
import { LazyDescription } from "./lazy-description";
import { TextField } from "./text-field";

/** A chapter: its title, and the text that stands before the events that follow it. */
export function ChapterSheet({
  event,
  headingRef,
  onPast,
  onClose,
}: {
  event: TimelineEvent;
  headingRef: RefObject<HTMLHeadingElement | null>;
  onPast: (seq: number) => void;
  onClose: () => void;
}) {
  const { store } = useEditor();
  const { id } = event;
  return (
    <Frame title={WORDS.chapter} headingRef={headingRef} onClose={onClose}>
      <div className="flex flex-col gap-3.5">
        <TextField
          label={WORDS.title}
          strong
          value={event.title}
          hint={WORDS.whatAChapterIs}
          onChange={(value) => store.edit([{ kind: "set_event", id, field: "title", value }], `title:${id}`)}
        />
        <LazyDescription of={id} label={WORDS.textOfTheChapter} words={wordsIn(event.description)} />
        <TextField
          label={WORDS.privateNote}
          value={event.note}
          multiline
          hint={WORDS.onlyEditorsSeeIt}
          onChange={(value) => store.edit([{ kind: "set_event", id, field: "note", value }], `note:${id}`)}
        />
        {store.isLocal ? null : <EventHistory event={id} chapter onShow={onPast} />}
        <div className="flex border-t border-line pt-3">
          <Button
            size="small"
            kind="danger"
            className="ms-auto"
            onClick={() => store.edit([{ kind: "delete_event", id }])}
          >
            {WORDS.delete}
          </Button>
        </div>
      </div>
    </Frame>
  );
}
