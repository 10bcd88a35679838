"use client";

import { WORDS as SHEET } from "@/core/words/editor-sheet";
import { WORDS } from "@/core/words/recording";
import { Mic } from "lucide-react";
import { useState } from "react";
import { Button } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { Recording } from "@/ui/voice/recording";
import { useEditor } from "../store/editor-context";

/** A voice is recorded for an event: spoken, listened to, kept. */
export function RecordVoice({ of }: { of: string }) {
  const { uploads } = useEditor();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Mic size={16} /> {SHEET.recordVoice}
      </Button>
      <Modal title={WORDS.title} open={open} onOpenChange={setOpen}>
        {open ? (
          <Recording
            titled
            onKeep={({ blob, seconds, title, spoken }) => {
              const ending = blob.type.includes("mp4") ? "m4a" : "webm";
              const file = new File([blob], `${WORDS.fileName}.${ending}`, { type: blob.type });
              uploads?.add(of, [file], { voice: true, text: title, spoken, length: seconds });
              setOpen(false);
            }}
          />
        ) : null}
      </Modal>
    </>
  );
}
