"use client";

import { Mic } from "lucide-react";
import { useRefresh } from "@/ui/use-refresh";
import { useState } from "react";
import { toBase64 } from "@/core/text/base64";
import { WORDS } from "@/core/words/marking";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";
import { Recording } from "@/ui/voice/recording";
import { SpokenComment } from "@/ui/voice/spoken-comment";

/** A comment on the whole that is spoken: recorded, heard again, taken away. Its group hears it when the work comes back. */
export function MarkVoice({
  submission,
  voice,
}: {
  submission: string;
  voice: { seconds: number; spoken: string } | null;
}) {
  const refresh = useRefresh();
  const ready = useReady();
  const [recording, setRecording] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/submissions/${submission}/voice`;
  const done = (answer: { ok: true } | { ok: false; sentence: string }) => {
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setRecording(false);
    void refresh();
  };
  return (
    <div className="mt-2">
      {voice ? <SpokenComment submission={submission} voice={voice} /> : null}
      <div className="mt-1 flex flex-wrap gap-2">
        <Button size="small" disabled={!ready} onClick={() => setRecording(true)}>
          <Mic size={15} /> {voice ? WORDS.speakAgain : WORDS.speak}
        </Button>
        {voice ? (
          <Button
            size="small"
            kind="quiet"
            disabled={!ready}
            onClick={async () => done(await askServer("DELETE", path))}
          >
            {WORDS.dropVoice}
          </Button>
        ) : null}
      </div>
      <Problem text={problem} className="mt-1" />
      <Modal title={WORDS.speak} open={recording} onOpenChange={setRecording}>
        {recording ? (
          <>
            <Recording
              onKeep={async ({ blob, seconds, spoken }) =>
                done(
                  await askServer("PUT", path, {
                    data: toBase64(new Uint8Array(await blob.arrayBuffer())),
                    seconds,
                    spoken,
                  }),
                )
              }
            />
            <Problem text={problem} className="mt-2" />
          </>
        ) : null}
      </Modal>
    </div>
  );
}
