"use client";

import { locale } from "@/core/language/spoken";
import { WORDS } from "@/core/words/editor-ledger";
import { type KeyboardEvent, useEffect, useMemo, useState } from "react";
import { LIMITS } from "@/core/change/limits";
import { dateProblemText } from "@/core/words/dates";
import { whenLabel } from "@/core/time/write-when";
import { isMeantBy, readLine } from "@/core/timeline/read-line";
import { readParagraph } from "@/core/timeline/read-paragraph";
import { wordCount } from "@/core/text/description";
import { mannerOf, readOptionsFor } from "@/core/timeline/read-options";
import { categoriesOf } from "@/core/timeline/timeline";
import { Mark } from "../mark";
import { Hint } from "@/ui/controls/hint";
import { useReady } from "@/ui/use-ready";
import { useEditor, useEditorState } from "../store/editor-context";
import { addLines, type NewLine } from "../store/event-deeds";
import { LineGrammar } from "./line-grammar";

/** A line that says nothing. */
const BARE = readLine("");

/** The line at the foot of the ledger: an event is written in it, shown as understood, and added with Enter. */
export function LedgerLine() {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const ready = useReady();
  const draftKey = `fastigo-line-${store.account}-${store.timelineId}`;
  const [text, setText] = useState("");
  const [whole, setWhole] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  // A half-written line survives closing the tab.
  useEffect(() => {
    try {
      setText(localStorage.getItem(draftKey) ?? "");
    } catch {}
  }, [draftKey]);
  const write = (next: string) => {
    setText(next);
    setProblem(null);
    if (next.trim() === "") {
      setWhole(false);
      setAsLine(false);
    }
    try {
      if (next) localStorage.setItem(draftKey, next.slice(0, 100_000));
      else localStorage.removeItem(draftKey);
    } catch {}
  };
  const read = useMemo(() => readLine(text.slice(0, 5_000), readOptionsFor(timeline), whole), [text, timeline, whole]);
  const [asLine, setAsLine] = useState(false);
  const paragraph = useMemo(
    () => (asLine ? null : readParagraph(text.slice(0, 60_000), readOptionsFor(timeline))),
    [text, timeline, asLine],
  );
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== "");

  const add = () => {
    if (text.trim() === "") return;
    // A pasted list is several events, a line each.
    const all: NewLine[] =
      lines.length > 1
        ? lines.map((l) => readLine(l, readOptionsFor(timeline)))
        : paragraph
          ? [{ ...BARE, when: paragraph.when, title: paragraph.title, description: paragraph.rest }]
          : [read];
    const long = all.find((r) => r.title.length > LIMITS.title);
    if (long || text.length > 60_000) {
      setProblem(
        WORDS.aTitleHoldsCharactersThis(
          LIMITS.title,
          long
            ? WORDS.oneHas(long.title.length.toLocaleString(locale()))
            : WORDS.textHas(text.length.toLocaleString(locale())),
        ),
      );
      return;
    }
    const done = addLines(store, all);
    if ("problem" in done) {
      setProblem(done.problem);
      return;
    }
    write("");
    select(done.id);
  };
  const onKeyDown = (e: KeyboardEvent<HTMLTextAreaElement>) => {
    if (e.key === "Enter" && !e.shiftKey && !e.nativeEvent.isComposing) {
      e.preventDefault();
      add();
    }
  };
  const category = read.category ? categoriesOf(timeline).find((c) => isMeantBy(read.category!, c.name)) : null;
  const { readAs } = read.when;
  return (
    <div className="border-t border-line bg-panel px-[18px] py-1.5 max-sm:px-3">
      <div className="flex items-center gap-2">
        <label htmlFor="next-event" className="sr-only">
          {WORDS.writeTheNextEventOn}
        </label>
        <textarea
          id="next-event"
          data-testid="next-event"
          rows={Math.min(5, Math.max(1, lines.length))}
          value={text}
          disabled={!ready}
          // Breaking a book into lines takes a browser seconds.
          wrap={text.length > 3_000 ? "off" : "soft"}
          onChange={(e) => write(e.target.value)}
          onKeyDown={onKeyDown}
          aria-describedby="next-event-read"
          placeholder={WORDS.writeTheNextEventOn2}
          className="min-h-9 flex-1 resize-none rounded-md border border-edge bg-white px-2.5 py-1.5 text-[15px] placeholder:whitespace-nowrap placeholder:text-[#5d7479]"
        />
        <button
          type="button"
          onClick={add}
          className="h-9 rounded-md border border-edge bg-white px-3 font-bold hover:bg-verdigris-wash"
        >
          {WORDS.enter}
        </button>
      </div>
      <div
        id="next-event-read"
        aria-live="polite"
        className="mt-1 flex min-h-5 flex-wrap items-center gap-x-3 text-[13px] text-quiet"
      >
        {problem ? (
          <span role="alert" className="font-bold text-copper-dark">
            {problem}
          </span>
        ) : text.trim() === "" ? (
          <>
            <Hint name="ledger-line">{WORDS.dateFirstOrLastAnd}</Hint>
            <LineGrammar onTry={write} />
          </>
        ) : lines.length > 1 ? (
          <span>{WORDS.linesEnterAddsAsMany(lines.length)}</span>
        ) : paragraph ? (
          <>
            <span>
              {WORDS.date}{" "}
              <strong className="text-verdigris">
                {whenLabel(paragraph.when, mannerOf(timeline)) || WORDS.noneYet}
              </strong>
            </span>
            <span className="truncate">
              {WORDS.title} <strong className="text-slate">{paragraph.title.slice(0, 80)}</strong>
            </span>
            <span>{WORDS.restAsDescription(wordCount(paragraph.rest))}</span>
            <button type="button" className="font-bold text-verdigris underline" onClick={() => setAsLine(true)}>
              {WORDS.takeItAsOneLine}
            </button>
          </>
        ) : (
          <>
            <span>
              {WORDS.date}{" "}
              <strong className={readAs.kind === "not_understood" ? "text-copper-dark" : "text-verdigris"}>
                {whenLabel(read.when, mannerOf(timeline)) || WORDS.noneYet}
              </strong>
            </span>
            <span>
              {WORDS.title} <strong className="text-slate">{read.title.slice(0, 80) || WORDS.noneYet}</strong>
            </span>
            {read.category ? (
              <span className="inline-flex items-center gap-1.5">
                {WORDS.category}{" "}
                {category ? <Mark colour={category.colour} pattern={category.pattern} width={18} /> : null}
                <strong className="text-slate">{category?.name ?? WORDS.new(read.category)}</strong>
              </span>
            ) : null}
            {read.place ? (
              <span>
                {WORDS.place} <strong className="text-slate">{read.place}</strong>
              </span>
            ) : null}
            {read.tags.length > 0 ? (
              <span>
                {WORDS.tags} <strong className="text-slate">{read.tags.join(", ")}</strong>
              </span>
            ) : null}
            {read.emphasis ? <strong className="text-slate">{WORDS.important}</strong> : null}
            {readAs.kind === "not_understood" ? (
              <span className="text-copper-dark">{dateProblemText(readAs.problem)}</span>
            ) : null}
            {whole || read.when.typed ? (
              <button type="button" className="font-bold text-verdigris underline" onClick={() => setWhole(!whole)}>
                {whole ? WORDS.takeTheDateOutOf : WORDS.allOfItIsThe}
              </button>
            ) : null}
          </>
        )}
      </div>
    </div>
  );
}
