"use client";

import { holdsFiles } from "@/core/timeline/fields";
import { useEffect, useId, useMemo, useRef, useState } from "react";
import { findPlaces, type FoundPlace, MOST_FOUND, replacePlaces, type TextOf } from "@/core/ledger/find";
import { WORDS } from "@/core/words/editor-find";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Field, INPUT } from "@/ui/controls/field";
import { Frame } from "../sheet/frame";
import { useEditor, useEditorState } from "../store/editor-context";

/** So much of a text stands around a place. */
const AROUND = 44;

/** Finds a text anywhere in the timeline; replaces it where one says, as one change, with a preview of every place. */
export function FindPanel({ onClose }: { onClose: () => void }) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const mayEdit = useEditorState((s) => s.saving !== "right_lost" && s.saving !== "signed_out");
  const [text, setText] = useState("");
  const [asked, setAsked] = useState("");
  const [matchCase, setMatchCase] = useState(false);
  const [wholeWords, setWholeWords] = useState(false);
  const [by, setBy] = useState("");
  const [replacing, setReplacing] = useState(false);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState("");
  const input = useRef<HTMLInputElement>(null);
  const replaceId = useId();
  useEffect(() => {
    input.current?.focus();
    input.current?.select();
  }, []);
  // A large timeline is looked through when the typing rests.
  useEffect(() => {
    const rest = setTimeout(() => setAsked(text), 200);
    return () => clearTimeout(rest);
  }, [text]);
  const wanted = useMemo(() => ({ text: asked, matchCase, wholeWords }), [asked, matchCase, wholeWords]);
  const { places, more } = useMemo(() => findPlaces(timeline, wanted), [timeline, wanted]);
  const chosen = useMemo(
    () => new Set(places.flatMap((p) => (p.locked || left.has(p.key) ? [] : [p.key]))),
    [places, left],
  );
  const groups = useMemo(() => {
    const by = new Map<string, FoundPlace[]>();
    for (const p of places) {
      const list = by.get(p.event ?? "");
      if (list) list.push(p);
      else by.set(p.event ?? "", [p]);
    }
    return [...by];
  }, [places]);
  const replace = () => {
    const done = replacePlaces(timeline, places, chosen, wanted, by);
    const problem = done.ops.length > 0 ? store.edit(done.ops) : null;
    setLeft(new Set());
    setSaid(
      problem
        ? WORDS.nothingReplaced(problem)
        : [done.places > 0 ? WORDS.replaced(done.places) : "", done.emptied > 0 ? WORDS.titlesStay(done.emptied) : ""]
            .filter(Boolean)
            .join(" "),
    );
  };
  return (
    <Frame title={WORDS.findAndReplace} onClose={onClose}>
      <div className="flex flex-col gap-3">
        <Field label={WORDS.find}>
          {(ids) => (
            <input
              id={ids.id}
              ref={input}
              type="search"
              className={INPUT}
              value={text}
              onChange={(e) => {
                setText(e.target.value);
                setSaid("");
              }}
            />
          )}
        </Field>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          <CheckRow label={WORDS.matchCase} checked={matchCase} onChange={setMatchCase} />
          <CheckRow label={WORDS.wholeWords} checked={wholeWords} onChange={setWholeWords} />
          {mayEdit ? <CheckRow label={WORDS.replace} checked={replacing} onChange={setReplacing} /> : null}
        </div>
        {replacing && mayEdit ? (
          <div className="flex items-end gap-2">
            <div className="flex-1">
              <label htmlFor={replaceId} className="mb-1 block text-[13px] text-quiet">
                {WORDS.replaceWith}
              </label>
              <input id={replaceId} className={INPUT} value={by} onChange={(e) => setBy(e.target.value)} />
            </div>
            <Button kind="main" disabled={chosen.size === 0} onClick={replace}>
              {WORDS.replacePlaces(chosen.size)}
            </Button>
          </div>
        ) : null}
        <p role="status" className="text-[14px] text-quiet">
          {said ||
            (asked === ""
              ? WORDS.everyTextIsLookedThrough
              : places.length === 0
                ? WORDS.nowhere(asked.slice(0, 60))
                : more
                  ? WORDS.moreThan(MOST_FOUND)
                  : WORDS.inPlaces(places.length))}
        </p>
        <ul className="flex flex-col gap-3">
          {groups.map(([event, list]) => (
            <li key={event}>
              {event === "" ? (
                <h3 className="font-sans text-[14px] font-bold">{WORDS.theTimeline}</h3>
              ) : (
                <button
                  type="button"
                  className="min-h-6 text-start font-bold text-verdigris underline"
                  onClick={() => select(event)}
                >
                  {timeline.events.get(event)?.title || WORDS.untitled}
                </button>
              )}
              <ul>
                {list.map((p) => (
                  <li key={p.key} className="flex min-h-7 items-baseline gap-2 py-0.5 text-[14px]">
                    {replacing && mayEdit ? (
                      <input
                        type="checkbox"
                        aria-label={WORDS.replaceThis(whereOf(p.of))}
                        className="size-6 shrink-0 translate-y-1 accent-verdigris"
                        disabled={p.locked}
                        checked={chosen.has(p.key)}
                        onChange={() =>
                          setLeft((now) => {
                            const next = new Set(now);
                            if (!next.delete(p.key)) next.add(p.key);
                            return next;
                          })
                        }
                      />
                    ) : null}
                    <span className="min-w-0 break-words">
                      <span className="text-[13px] text-quiet">{whereOf(p.of)}: </span>
                      <Snippet place={p} by={replacing && chosen.has(p.key) ? by : null} />
                      {p.locked ? <span className="text-[13px] text-quiet"> {WORDS.givenStays}</span> : null}
                    </span>
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ul>
      </div>
    </Frame>
  );
}

/** A place with some of the text around it; what takes its place beside it. */
function Snippet({ place: { text, from, to }, by }: { place: FoundPlace; by: string | null }) {
  const before = text.slice(Math.max(0, from - AROUND), from);
  const after = text.slice(to, to + AROUND);
  const found = text.slice(from, to);
  return (
    <>
      {from > AROUND ? "…" : ""}
      {before}
      {by === null ? (
        <mark className="rounded-sm bg-sun/50 text-slate">{found}</mark>
      ) : (
        <>
          <del className="text-copper-dark">{found}</del>
          {by ? <ins className="bg-verdigris-wash font-bold text-verdigris no-underline"> {by}</ins> : null}
        </>
      )}
      {after}
      {to + AROUND < text.length ? "…" : ""}
    </>
  );
}

function whereOf(of: TextOf): string {
  switch (of.kind) {
    case "timeline":
      return WORDS.where[of.field as "title" | "subject" | "byline"];
    case "event":
      return WORDS.where[of.field as "title" | "shortTitle" | "when" | "place" | "note"];
    case "category":
      return WORDS.where.category;
    case "source":
      return WORDS.where.source;
    case "description":
      return of.of === "introduction" || of.of === "closing" ? WORDS.where[of.of] : WORDS.where.description;
    case "item":
      return holdsFiles(of.list) ? WORDS.where.media : of.list === "source" ? WORDS.where.source : WORDS.where.link;
  }
}
