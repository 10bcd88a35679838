"use client";

import { WORDS as SHEET } from "@/core/words/editor-sheet";
import { WORDS } from "@/core/words/recording";
import { secondText } from "@/core/text/webvtt";
import { Mic } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { Button } from "../controls/button";
import { Field, INPUT } from "../controls/field";
import { Problem } from "../controls/problem";
import { type Recorded, VoiceRecorder } from "./voice-recorder";

const MOST_MINUTES = 5;

/** Recording a voice: spoken, paused, listened to, and kept by whoever asked for it. `titled`: it is given a title too. */
export function Recording({
  titled = false,
  onKeep,
}: {
  titled?: boolean;
  onKeep: (kept: Recorded & { title: string; spoken: string }) => void;
}) {
  const [recorder, setRecorder] = useState<VoiceRecorder | null>(null);
  const [paused, setPaused] = useState(false);
  const [seconds, setSeconds] = useState(0);
  const [level, setLevel] = useState(0);
  const [recorded, setRecorded] = useState<(Recorded & { url: string }) | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [title, setTitle] = useState("");
  const [spoken, setSpoken] = useState("");
  // Closing in the middle lets the microphone go.
  const running = useRef<VoiceRecorder | null>(null);
  useEffect(() => () => running.current?.drop(), []);
  useEffect(() => () => (recorded ? URL.revokeObjectURL(recorded.url) : undefined), [recorded]);

  const finish = async (own: VoiceRecorder, full: boolean) => {
    const got = await own.stop();
    running.current = null;
    setRecorder(null);
    setPaused(false);
    if (!got) return setProblem(WORDS.nothing);
    setRecorded({ ...got, url: URL.createObjectURL(got.blob) });
    setSaid(full ? WORDS.ended(MOST_MINUTES) : null);
  };
  const start = async () => {
    setProblem(null);
    setSaid(null);
    setRecorded(null);
    setSeconds(0);
    const begun = await VoiceRecorder.begin({
      most: MOST_MINUTES * 60,
      heard: (at, loud) => {
        setSeconds(at);
        setLevel(loud);
      },
      full: () => {
        if (running.current) void finish(running.current, true);
      },
    });
    if (typeof begun === "string") return setProblem(WORDS[begun]);
    running.current = begun;
    setRecorder(begun);
  };
  const keep = () => {
    if (recorded)
      onKeep({ blob: recorded.blob, seconds: recorded.seconds, title: title.trim(), spoken: spoken.trim() });
  };
  const time = secondText(Math.floor(seconds));
  return (
    <div className="flex flex-col gap-3">
      <p className="text-[14px] text-quiet">{WORDS.help(MOST_MINUTES)}</p>
      {recorder ? (
        <>
          <p role="status" className="font-bold">
            {paused ? WORDS.paused(time) : WORDS.recording(time)}
          </p>
          <meter
            aria-label={WORDS.level}
            className="h-4 w-full"
            min={0}
            max={1}
            low={0.04}
            high={0.92}
            optimum={0.5}
            value={paused ? 0 : level}
          />
          <p className="min-h-5 text-[13px] text-quiet">
            {paused || seconds < 2 ? "" : level < 0.02 ? WORDS.soft : level > 0.95 ? WORDS.loud : ""}
          </p>
          <div className="flex gap-2">
            <Button
              onClick={() => {
                if (paused) recorder.goOn();
                else recorder.pause();
                setPaused(!paused);
              }}
            >
              {paused ? WORDS.goOn : WORDS.pause}
            </Button>
            <Button kind="main" onClick={() => void finish(recorder, false)}>
              {WORDS.stop}
            </Button>
          </div>
        </>
      ) : recorded ? (
        <>
          {said ? <p role="status">{said}</p> : null}
          {/* biome-ignore lint/a11y/useMediaCaption: its words are written beside it */}
          <audio src={recorded.url} controls aria-label={WORDS.listen} className="w-full" />
          <p className="text-[13px] text-quiet">{SHEET.lasts(secondText(Math.round(recorded.seconds * 10) / 10))}</p>
          {titled ? (
            <Field label={WORDS.name}>
              {(ids) => (
                <input
                  id={ids.id}
                  className={INPUT}
                  value={title}
                  placeholder={WORDS.nameExample}
                  onChange={(e) => setTitle(e.target.value)}
                />
              )}
            </Field>
          ) : null}
          <Field label={WORDS.spoken} hint={WORDS.spokenHint}>
            {(ids) => (
              <textarea
                id={ids.id}
                aria-describedby={ids.describedBy}
                rows={3}
                className={`${INPUT} h-auto py-2`}
                value={spoken}
                onChange={(e) => setSpoken(e.target.value)}
              />
            )}
          </Field>
          <div className="flex gap-2">
            <Button kind="main" onClick={keep}>
              {WORDS.keep}
            </Button>
            <Button onClick={() => void start()}>{WORDS.again}</Button>
          </div>
        </>
      ) : (
        <Button kind="main" className="w-fit" onClick={() => void start()}>
          <Mic size={16} /> {WORDS.start}
        </Button>
      )}
      <Problem text={problem} />
    </div>
  );
}
