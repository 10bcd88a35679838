"use client";

import { useEffect, useState } from "react";
import { READ_ENDINGS } from "@/core/bring-in/files/endings";
import { fromSnapshot, type Snapshot } from "@/core/formats/snapshot";
import { orderOf } from "@/core/timeline/order";
import { categoriesOf } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/bring-in";
import { WORDS as TAKE_OUT } from "@/core/words/take-out";
import { WORDS as TEMPLATE } from "@/core/words/template";
import { askPacked, askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { HowItGoes } from "@/ui/controls/how-it-goes";
import { saveFile } from "@/ui/save-file";
import { useEditor } from "../store/editor-context";
import { writeTemplate } from "../write-file";

/** From so many characters on a pasted text is looked at at once. */
const LONG = 20_000;

/** Where what is brought in is pasted, or chosen as a file. */
export function Take({
  problem,
  onText,
  onFile,
  address,
  onClose,
}: {
  problem: string | null;
  onText: (text: string, html: boolean) => void;
  onFile: (file: File) => void;
  /** Where tables can be fetched from the web: the address it was last, and what fetches one. */
  address: { last: string; onFetch: (address: string) => void; isFetching: boolean } | null;
  onClose: () => void;
}) {
  const [from, setFrom] = useState(address?.last ?? "");
  const [text, setText] = useState("");
  return (
    <div className="mx-auto flex w-full max-w-[820px] flex-1 flex-col gap-3 overflow-y-auto p-5">
      <p>
        {WORDS.pasteHint} <HowItGoes task="bring-in" className="ms-2" />
      </p>
      <textarea
        aria-label={WORDS.pasteHere}
        value={text}
        spellCheck={false}
        className="min-h-[36vh] w-full rounded-md border border-edge p-3 font-mono text-[14px]"
        onChange={(e) => setText(e.target.value)}
        onPaste={(e) => {
          const html = e.clipboardData.getData("text/html");
          const text = e.clipboardData.getData("text/plain");
          const isHtml = /<(table|ul|ol)\b/i.test(html);
          // A long text would only make the field slow.
          if (!isHtml && text.length < LONG) return;
          e.preventDefault();
          onText(isHtml ? html : text, isHtml);
        }}
      />
      <div className="flex flex-wrap gap-2">
        <Button kind="main" disabled={text.trim() === ""} onClick={() => onText(text, false)}>
          {WORDS.lookAtIt}
        </Button>
        <label className={`${buttonLook("plain")} cursor-pointer focus-within:outline-2`}>
          {WORDS.chooseAFile}
          <input
            type="file"
            accept={READ_ENDINGS.join(",")}
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) onFile(file);
              e.target.value = "";
            }}
          />
        </label>
      </div>
      <p className="text-[14px] text-quiet">{WORDS.filesHint}</p>
      <Template />
      {address ? <FromAnother onDone={onClose} /> : null}
      {address ? (
        <form
          className="flex flex-col gap-1"
          onSubmit={(e) => {
            e.preventDefault();
            if (from.trim()) address.onFetch(from.trim());
          }}
        >
          <label htmlFor="table-address" className="text-[14px]">
            {WORDS.orAddress}
          </label>
          <span className="flex flex-wrap gap-2">
            <input
              id="table-address"
              value={from}
              placeholder={WORDS.addressBegins}
              inputMode="url"
              className="h-9 min-w-0 flex-1 rounded-md border border-edge px-2"
              onChange={(e) => setFrom(e.target.value)}
            />
            <Button type="submit" disabled={from.trim() === "" || address.isFetching}>
              {address.isFetching ? WORDS.fetchingIt : WORDS.fetchIt}
            </Button>
          </span>
          {address.last ? <span className="text-[14px] text-quiet">{WORDS.fetchedBefore}</span> : null}
        </form>
      ) : null}
      <p role="alert" className="font-bold text-copper-dark">
        {problem}
      </p>
    </div>
  );
}

/** A table to fill in, for those who have their facts in no table yet. */
function Template() {
  const { store } = useEditor();
  const save = (form: "xlsx" | "csv") => {
    const categories = categoriesOf(store.getState().timeline).map((c) => c.name);
    void writeTemplate(form, categories).then(
      (came) => {
        if ("bytes" in came) saveFile(new Blob([came.bytes as BlobPart]), TEMPLATE.fileName, `.${form}`);
      },
      () => store.say(TAKE_OUT.notWritten),
    );
  };
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1 text-[14px]">
      {TEMPLATE.template}
      {(["xlsx", "csv"] as const).map((form) => (
        <button
          key={form}
          type="button"
          className="min-h-6 font-bold text-verdigris underline underline-offset-2"
          onClick={() => save(form)}
        >
          {TEMPLATE[form]}
        </button>
      ))}
    </p>
  );
}

/** Events of another timeline of one's own, with all they have: copied on the server, their files too. */
function FromAnother({ onDone }: { onDone: () => void }) {
  const { store, select } = useEditor();
  const [all, setAll] = useState<{ id: string; title: string }[]>([]);
  const [from, setFrom] = useState("");
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let wanted = true;
    void askServer<{ timelines: { id: string; title: string }[] }>("GET", "/api/timelines").then((answer) => {
      if (wanted && answer.ok) setAll(answer.value.timelines.filter((t) => t.id !== store.timelineId));
    });
    return () => {
      wanted = false;
    };
  }, [store]);
  if (all.length === 0) return null;
  const bring = async () => {
    setBusy(true);
    setProblem(null);
    const snapshot = await askPacked<Snapshot>(`/api/timelines/${from}`);
    const events = snapshot.ok ? orderOf(fromSnapshot(snapshot.value).events).map((e) => e.id) : [];
    const answer =
      events.length > 0
        ? await askServer<{ copied: number; events: string[] }>("POST", `/api/timelines/${from}/copies`, {
            to: store.timelineId,
            events,
          })
        : null;
    setBusy(false);
    if (!snapshot.ok) return setProblem(snapshot.sentence);
    if (!answer) return setProblem(WORDS.nothingThere);
    if (!answer.ok) return setProblem(answer.sentence);
    const { copied, events: ids } = answer.value;
    store.tookIn(ids.map((id) => ({ kind: "delete_event", id })));
    store.say(WORDS.cameFrom(copied, all.find((t) => t.id === from)?.title ?? ""));
    onDone();
    if (ids[0]) select(ids[0]);
  };
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor="another-timeline" className="text-[14px]">
        {WORDS.orAnother}
      </label>
      <span className="flex flex-wrap gap-2">
        <select
          id="another-timeline"
          className="h-9 min-w-0 flex-1 rounded-md border border-edge bg-white px-2"
          value={from}
          onChange={(e) => setFrom(e.target.value)}
        >
          <option value="">{WORDS.chooseATimeline}</option>
          {all.map((t) => (
            <option key={t.id} value={t.id}>
              {t.title || WORDS.untitled}
            </option>
          ))}
        </select>
        <Button disabled={from === "" || busy} onClick={() => void bring()}>
          {WORDS.takeItsEvents}
        </Button>
      </span>
      <p role="alert" className="font-bold text-copper-dark empty:hidden">
        {problem}
      </p>
    </div>
  );
}
