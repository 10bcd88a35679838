"use client";

import { nanoid } from "nanoid";
import { useId, useRef, useState } from "react";
import type { Op } from "@/core/change/change";
import { lettersOf } from "@/core/text/letters";
import { sourceText } from "@/core/sources/cited";
import { readOptionsOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/sources";
import { Button, buttonLook } from "@/ui/controls/button";
import { useEditor } from "../store/editor-context";
import { askSources } from "./ask-sources";

const MOST_BYTES = 4_000_000;

/** Takes sources in that another program wrote: pasted, or from a file. Those that are there already are not taken twice. */
export function TakeIn() {
  const { store } = useEditor();
  const [text, setText] = useState("");
  const [said, setSaid] = useState<string[]>([]);
  const file = useRef<HTMLInputElement>(null);
  const id = useId();
  const take = async (given: string, notes: string[]) => {
    if (given.length > MOST_BYTES) return setSaid([WORDS.tooLarge]);
    const { timeline } = store.getState();
    try {
      const read = await askSources<"read">({
        read: { text: given, options: { ...readOptionsOf(timeline), day: null } },
      });
      if (read.format === null) return setSaid([WORDS.notRecognised]);
      const there = new Set([...timeline.sources.values()].filter((s) => !s.deleted).map((s) => sourceText(s)));
      const fresh = read.sources.filter((s) => !there.has(sourceText(s)));
      const refused =
        fresh.length > 0
          ? store.edit(fresh.map((fields): Op => ({ kind: "add_source", id: nanoid(10), fields })))
          : null;
      const known = read.sources.length - fresh.length;
      setSaid([
        refused ?? (read.sources.length === 0 ? WORDS.noneTaken : WORDS.taken(fresh.length, known)),
        ...notes,
        ...read.problems,
      ]);
      // What could not be read stays to be mended.
      if (!refused && read.problems.length === 0) setText("");
      else setText(given);
    } catch {
      setSaid([WORDS.notHad]);
    }
  };
  const open = async (chosen: File) => {
    if (chosen.size > MOST_BYTES) return setSaid([WORDS.tooLarge]);
    const { text: letters, latin } = lettersOf(new Uint8Array(await chosen.arrayBuffer()));
    await take(letters, latin ? [WORDS.latin] : []);
  };
  return (
    <section aria-label={WORDS.takeIn} className="mb-3 rounded-md border border-line bg-panel/50 p-2.5">
      <p className="mb-1.5 text-[13px] text-quiet">{WORDS.takeInHint}</p>
      <label htmlFor={id} className="sr-only">
        {WORDS.pasteHere}
      </label>
      <textarea
        id={id}
        value={text}
        rows={4}
        spellCheck={false}
        className="w-full rounded-md border border-edge bg-white px-2.5 py-1.5 font-mono text-[13px]"
        onChange={(e) => setText(e.target.value)}
      />
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        <Button size="small" kind="main" disabled={text.trim() === ""} onClick={() => void take(text, [])}>
          {WORDS.takeThemIn}
        </Button>
        <label className={`${buttonLook("plain", "small")} cursor-pointer focus-within:outline-2`}>
          {WORDS.openAFile}
          <input
            ref={file}
            type="file"
            accept=".bib,.bibtex,.ris,.json,.txt"
            className="sr-only"
            onChange={(e) => {
              const chosen = e.target.files?.[0];
              if (chosen) void open(chosen);
              e.target.value = "";
            }}
          />
        </label>
      </div>
      <div role="status" className="mt-1.5 text-[14px]">
        <ul className="flex flex-col gap-1">
          {said.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
      </div>
    </section>
  );
}
