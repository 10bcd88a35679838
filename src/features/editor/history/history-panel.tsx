"use client";

import { type ComponentProps, useState } from "react";
import { WORDS } from "@/core/words/editor-history";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Frame } from "../sheet/frame";
import { useEditorState } from "../store/editor-context";
import { BinList } from "./bin-list";
import { SittingFilters, SittingList } from "./sitting-list";

/** Who did what, in sittings, the latest first; of one event where one asks for it; any moment of it can be looked at. */
export function HistoryPanel({
  selected,
  onShow,
  onClose,
}: {
  selected: string | null;
  onShow: (seq: number) => void;
  onClose: () => void;
}) {
  const event = useEditorState((s) => (selected ? s.timeline.events.get(selected) : undefined));
  const [person, setPerson] = useState("");
  const [kind, setKind] = useState<ComponentProps<typeof SittingList>["kind"]>("");
  const [only, setOnly] = useState(false);
  const [bin, setBin] = useState(false);
  return (
    <Frame title={WORDS.history} onClose={onClose}>
      <div role="group" aria-label={WORDS.history} className="mb-3 flex gap-1.5">
        {[false, true].map((b) => (
          <Button
            key={String(b)}
            size="small"
            kind={bin === b ? "main" : "plain"}
            aria-pressed={bin === b}
            onClick={() => setBin(b)}
          >
            {b ? WORDS.bin : WORDS.sittings}
          </Button>
        ))}
      </div>
      {bin ? <BinList /> : null}
      <div className="flex flex-col gap-2.5" hidden={bin}>
        <SittingFilters person={person} setPerson={setPerson} kind={kind} setKind={setKind} />
        {event ? (
          <CheckRow label={WORDS.onlyOf(event.title || WORDS.untitled)} checked={only} onChange={setOnly} />
        ) : null}
        <SittingList event={only && event ? event.id : null} person={person} kind={kind} onShow={onShow} />
      </div>
    </Frame>
  );
}
