"use client";

import { WORDS } from "@/core/words/recording";
import { WORDS as SHEET } from "@/core/words/editor-sheet";
import { type Cue, MOST_CUES, readSubtitles, secondText, writeSubtitles } from "@/core/text/webvtt";
import { Play, Trash2 } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import type { Item } from "@/core/timeline/timeline";
import { Button, buttonLook } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { saveFile } from "@/ui/save-file";
import { TextField } from "../sheet/text-field";
import { useEditor } from "../store/editor-context";
import { SecondField } from "./second-field";

const MOST_FILE = 1_048_576;
/** So long a new subtitle stands, seconds. */
const STANDS = 3;

/** The subtitles of a video: opened from a file, or written beside it while it plays. */
export function SubtitlesField({ item }: { item: Item }) {
  const [open, setOpen] = useState(false);
  const count = useMemo(() => readSubtitles(item.subtitles).cues.length, [item.subtitles]);
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)}>
        {WORDS.writeSubtitles(count)}
      </Button>
      <Modal title={WORDS.subtitles} open={open} onOpenChange={setOpen} wide>
        {open ? <Writing item={item} /> : null}
      </Modal>
    </>
  );
}

function Writing({ item }: { item: Item }) {
  const { store } = useEditor();
  const video = useRef<HTMLVideoElement>(null);
  const [at, setAt] = useState(0);
  const [said, setSaid] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { cues } = useMemo(() => readSubtitles(item.subtitles), [item.subtitles]);
  const keep = (list: readonly Cue[]): string | null =>
    store.edit(
      [
        {
          kind: "set_item",
          id: item.id,
          field: "subtitles",
          value: list.length === 0 ? "" : writeSubtitles(list.toSorted((a, b) => a.from - b.from)),
        },
      ],
      `item:${item.id}:subtitles`,
    );
  const alter = (i: number, part: Partial<Cue>) => keep(cues.map((c, k) => (k === i ? { ...c, ...part } : c)));
  const time = (i: number, side: "from" | "to") => (second: number | null) => {
    const next = { ...cues[i]!, [side]: second ?? 0 };
    return next.to <= next.from ? SHEET.endsBefore : alter(i, { [side]: second ?? 0 });
  };
  const openFile = async (file: File) => {
    setSaid(null);
    setProblem(null);
    if (file.size > MOST_FILE) return setProblem(WORDS.fileLarge);
    const found = readSubtitles(await file.text());
    if (found.cues.length === 0) return setProblem(WORDS.noSubtitles);
    const refused = keep(found.cues);
    if (refused) setProblem(refused);
    else setSaid(WORDS.readFromFile(found.cues.length, found.lost));
  };
  const here = Math.floor(at * 10) / 10;
  return (
    <div className="flex flex-col gap-3">
      <p className="text-[14px] text-quiet">{WORDS.subtitlesHelp}</p>
      {/* biome-ignore lint/a11y/useMediaCaption: its subtitles are being written under it */}
      <video
        ref={video}
        src={`/api/timelines/${store.timelineId}/media/${item.media}/whole`}
        controls
        preload="metadata"
        className="max-h-[34vh] w-full rounded bg-slate"
        onTimeUpdate={(e) => setAt(e.currentTarget.currentTime)}
        onSeeked={(e) => setAt(e.currentTarget.currentTime)}
      />
      <div className="flex flex-wrap items-center gap-2">
        <Button
          kind="main"
          size="small"
          disabled={cues.length >= MOST_CUES}
          onClick={() => setProblem(keep([...cues, { from: here, to: here + STANDS, text: "..." }]))}
        >
          {WORDS.addHere(secondText(here))}
        </Button>
        <label className={`${buttonLook("plain", "small")} cursor-pointer focus-within:outline-2`}>
          {WORDS.openFile}
          <input
            type="file"
            accept=".vtt,.srt,text/vtt"
            className="sr-only"
            onChange={(e) => {
              const [file] = e.target.files ?? [];
              if (file) void openFile(file);
              e.target.value = "";
            }}
          />
        </label>
        {cues.length > 0 ? (
          <Button
            size="small"
            onClick={() => saveFile(new Blob([item.subtitles], { type: "text/vtt" }), "subtitles", ".vtt")}
          >
            {WORDS.saveFile}
          </Button>
        ) : null}
      </div>
      {said ? <p role="status">{said}</p> : null}
      <Problem text={problem} />
      <ol className="flex flex-col gap-2">
        {cues.map((c, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: subtitles have no names, only places
          <li key={i} className="grid grid-cols-[76px_76px_minmax(0,1fr)_auto] items-end gap-2 max-sm:grid-cols-2">
            <SecondField label={WORDS.from} value={c.from} onChange={time(i, "from")} />
            <SecondField label={WORDS.to} value={c.to} onChange={time(i, "to")} />
            <TextField
              label={WORDS.words}
              value={c.text}
              multiline
              onChange={(text) => (text.trim() === "" ? null : alter(i, { text: text.trim() }))}
            />
            <span className="flex pb-1">
              <button
                type="button"
                aria-label={WORDS.playIt(secondText(c.from))}
                title={WORDS.playIt(secondText(c.from))}
                className="rounded-md p-1.5 hover:bg-verdigris-wash"
                onClick={() => {
                  if (!video.current) return;
                  video.current.currentTime = c.from;
                  void video.current.play();
                }}
              >
                <Play size={16} />
              </button>
              <button
                type="button"
                aria-label={WORDS.remove(secondText(c.from))}
                title={WORDS.remove(secondText(c.from))}
                className="rounded-md p-1.5 hover:bg-verdigris-wash"
                onClick={() => keep(cues.filter((_, k) => k !== i))}
              >
                <Trash2 size={16} />
              </button>
            </span>
          </li>
        ))}
      </ol>
    </div>
  );
}
