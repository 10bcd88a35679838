"use client";

import { Dialog } from "radix-ui";
import { useCallback, useEffect, useRef, useState } from "react";
import type { ReadAnswer, Source } from "@/core/bring-in/asked";
import type { ReadFileOptions } from "@/core/bring-in/files/found";
import { MOST_PACKED } from "@/core/bring-in/files/limits";
import { dayFromGregorian } from "@/core/time/calendar";
import { readOptionsOf } from "@/core/timeline/read-options";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/bring-in";
import { fromBase64 } from "@/core/text/base64";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { Logo } from "@/ui/logo";
import { useEditor, useEditorState } from "../store/editor-context";
import { type Desk, openDesk } from "./desk";
import { isFolderFile, readFolder } from "./folder-file";
import { Look } from "./look";
import { Take } from "./take";
import { Whole } from "./whole";

type Found = Exclude<ReadAnswer, { problem: string }>;
/** Texts are longer than what they are packed from. */
const MOST_FILE = MOST_PACKED * 2;

/** Brings in what people have: everything is shown as it would come in, and nothing comes before one says so. */
export function BringIn({ given, onClose }: { given: File | null; onClose: () => void }) {
  const { store, select } = useEditor();
  const title = useEditorState((s) => s.timeline.title);
  const desk = useRef<Desk | null>(null);
  /** Files that came with what is brought in, by their ids there. */
  const media = useRef<ReadonlyMap<string, Blob>>(new Map());
  const [source, setSource] = useState<Source | null>(null);
  const [found, setFound] = useState<Found | null>(null);
  /** What a file is read with; a number that is new each time, so that what was said of the rows before begins anew. */
  const [options, setOptions] = useState<ReadFileOptions>({});
  const [readings, setReadings] = useState(0);
  const [reading, setReading] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  const stop = useCallback(() => {
    desk.current?.end();
    desk.current = null;
  }, []);
  useEffect(() => stop, [stop]);

  const read = useCallback(
    async (from: Source, wish: ReadFileOptions) => {
      stop();
      setProblem(null);
      setReading("bytes" in from ? from.name : "");
      let own: Desk | null = null;
      try {
        own = openDesk();
        desk.current = own;
        const dates = readOptionsOf(store.getState().timeline);
        const answer = await own.ask<"read">({
          kind: "read",
          source: from,
          options: { ...wish, today: todayNumber() },
          dates,
        });
        if (desk.current !== own) return;
        setReading(null);
        if ("problem" in answer) {
          setProblem(answer.problem);
          return;
        }
        setSource(from);
        setOptions(wish);
        setFound(asWhole(answer, store.getState().timeline));
        setReadings((n) => n + 1);
      } catch {
        if (own && desk.current !== own) return;
        setReading(null);
        setProblem(WORDS.notReadNow);
      }
    },
    [store, stop],
  );
  const takeFile = useCallback(
    async (file: File) => {
      media.current = new Map();
      try {
        // Of a folder its data is read here, and its pictures come in with it.
        if (isFolderFile(file)) {
          setProblem(null);
          setReading(file.name);
          const folder = await readFolder(file).catch(() => null);
          setReading(null);
          if (!folder) return setProblem(WORDS.noFolder);
          media.current = folder.media;
          return await read({ name: "data.json", bytes: folder.data }, {});
        }
        if (file.size > MOST_FILE) return setProblem(WORDS.tooLarge);
        await read({ name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) }, {});
      } catch {
        setProblem(WORDS.notReadNow);
      }
    },
    [read],
  );
  const [isFetching, setIsFetching] = useState(false);
  const fetchPublished = async (published: string) => {
    setIsFetching(true);
    setProblem(null);
    const answer = await askServer<{ copied: number; title: string; events: string[] }>(
      "POST",
      `/api/published/${encodeURIComponent(published)}/events`,
      { to: store.timelineId },
    );
    setIsFetching(false);
    if (!answer.ok) return setProblem(answer.sentence);
    const { copied, title: from, events } = answer.value;
    store.tookIn(events.map((id) => ({ kind: "delete_event", id })));
    store.say(WORDS.cameFromPublished(copied, from));
    onClose();
    if (events[0]) select(events[0]);
  };
  const fetchTable = async (address: string) => {
    const published = publishedAt(address);
    if (published) return fetchPublished(published);
    setIsFetching(true);
    setProblem(null);
    const answer = await askServer<{ name: string; content: string }>(
      "POST",
      `/api/timelines/${store.timelineId}/table`,
      { address },
    );
    setIsFetching(false);
    if (!answer.ok) return setProblem(answer.sentence);
    rememberAddress(store.timelineId, address);
    await read({ name: answer.value.name, bytes: fromBase64(answer.value.content) }, {});
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: a file that is handed in is read once
  useEffect(() => {
    if (given) void takeFile(given);
  }, [given]);

  const name = source && "bytes" in source ? source.name : "";
  return (
    <Dialog.Root open onOpenChange={(open) => (open ? null : onClose())}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-40 flex flex-col bg-white"
          // What was mended here is not thrown away by a press beside it.
          onInteractOutside={(e) => e.preventDefault()}
        >
          <header className="flex min-h-14 shrink-0 items-center gap-3 bg-slate px-[18px] text-white">
            <Logo />
            <div className="min-w-0">
              <Dialog.Title className="truncate font-head text-[19px] font-[650]">{WORDS.bringInTitle}</Dialog.Title>
              <p className="truncate text-[13px] text-[#c7d3d4]">
                {[name, WORDS.into(title)].filter(Boolean).join(" · ")}
              </p>
            </div>
            <Dialog.Close className={`${buttonLook("dark")} ms-auto`}>{WORDS.cancel}</Dialog.Close>
          </header>
          {reading !== null ? (
            <div role="status" className="m-auto flex flex-col items-center gap-3 p-6">
              <p>{WORDS.reading(reading)}</p>
              <Button
                onClick={() => {
                  stop();
                  setReading(null);
                }}
              >
                {WORDS.stopReading}
              </Button>
            </div>
          ) : found?.kind === "rows" && desk.current ? (
            <Look
              key={readings}
              desk={desk.current}
              found={found}
              options={options}
              problem={problem}
              readAgain={(wish) => source && void read(source, wish)}
              onClose={onClose}
            />
          ) : found?.kind === "timeline" ? (
            <Whole found={found} files={media.current} onClose={onClose} />
          ) : (
            <Take
              problem={problem}
              onClose={onClose}
              onText={(text, html) => void read({ text, html }, {})}
              onFile={(f) => void takeFile(f)}
              address={
                store.isLocal
                  ? null
                  : { last: lastAddress(store.timelineId), onFetch: (a) => void fetchTable(a), isFetching }
              }
            />
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function todayNumber(): number {
  const now = new Date();
  return dayFromGregorian(now.getFullYear(), now.getMonth() + 1, now.getDate());
}

/** A table that Fastigo wrote is the timeline it came from, unless that is the one that is open: then its rows are known again. */
function asWhole(found: Found, here: Timeline): Found {
  if (found.kind === "timeline" || !found.whole) return found;
  const isHere = found.whole.events.some((e) => here.events.get(e.id)?.deleted === false);
  return isHere ? found : { kind: "timeline", frozen: found.whole, notes: found.notes };
}

/** What an address of a published timeline of this very server names; null for any other address. */
function publishedAt(address: string): string | null {
  try {
    const url = new URL(address, window.location.origin);
    const at = /^\/t\/([^/]+)\/?$/.exec(url.pathname);
    return url.host === window.location.host && at ? decodeURIComponent(at[1]!) : null;
  } catch {
    return null;
  }
}

/** Where a table was fetched from last, for a timeline, in this browser. */
const FETCHED = "fastigo-fetched-";
function lastAddress(timeline: string): string {
  try {
    return localStorage.getItem(FETCHED + timeline) ?? "";
  } catch {
    return "";
  }
}
function rememberAddress(timeline: string, address: string): void {
  try {
    localStorage.setItem(FETCHED + timeline, address);
  } catch {
    // It is typed again then.
  }
}
