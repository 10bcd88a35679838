"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { DIFFERENCE_LOOKS, type DifferenceState } from "@/core/history/difference-chart";
import { WORDS } from "@/core/words/marking";
import { useEffect, useRef, useState } from "react";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { CategoryMark } from "@/ui/category-mark";
import { ZonedTime } from "@/ui/zoned-time";
import type { DeskEvent, DeskMedium, DeskSubmission } from "./desk-submission";
import { useMark } from "./use-mark";

const STATES = Object.keys(DIFFERENCE_LOOKS) as DifferenceState[];

/** What was handed in: the chart, beside it the one of the time before, and every event with its comment field. */
export function HandedIn({ open, total, zone }: { open: DeskSubmission; total: number; zone: string }) {
  const { before } = open;
  const [beside, setBeside] = useState(false);
  return (
    <section aria-label={WORDS.asSubmitted} className="mt-5 rounded-lg border border-line">
      {before ? (
        <fieldset className="flex flex-wrap gap-1 px-3 pt-2">
          <legend className="sr-only">{WORDS.whatChanged}</legend>
          {[false, true].map((side) => (
            <Button
              key={String(side)}
              size="small"
              kind={side === beside ? "main" : "plain"}
              aria-pressed={side === beside}
              onClick={() => setBeside(side)}
            >
              {side ? WORDS.besideEachOther : WORDS.onOneChart}
            </Button>
          ))}
        </fieldset>
      ) : null}
      {before && !beside ? (
        <>
          <Drawing heading={WORDS.whatChanged} at={before.submittedAt} zone={zone} svg={before.changes} />
          <ul className="flex flex-wrap gap-x-4 px-3 pb-2 text-[14px]">
            {STATES.map((state) => (
              <li key={state} className="flex items-center gap-1.5">
                <CategoryMark {...DIFFERENCE_LOOKS[state]} /> {WORDS.sinceStates[state]}
              </li>
            ))}
          </ul>
        </>
      ) : (
        <div className={before ? "grid gap-2 lg:grid-cols-2" : ""}>
          {before ? <Drawing heading={WORDS.before} at={before.submittedAt} zone={zone} svg={before.drawing} /> : null}
          <Drawing heading={before ? WORDS.now : null} at={open.submittedAt} zone={zone} svg={open.drawing} />
        </div>
      )}
      <p className="flex flex-wrap gap-x-4 border-t border-line px-3 py-2 text-[14px]">
        <a
          className="font-bold text-verdigris underline"
          href={`/submissions/${open.id}/reader`}
          target="_blank"
          rel="noreferrer"
        >
          {WORDS.chartAndReadViewAs}
        </a>
        {before ? (
          <a
            className="font-bold text-verdigris underline"
            href={`/submissions/${before.id}/reader`}
            target="_blank"
            rel="noreferrer"
          >
            {WORDS.asSubmittedBefore}
          </a>
        ) : null}
        {before && before.gone.length > 0 ? <span>{WORDS.noLongerThere(before.gone.join(", "))}</span> : null}
      </p>
      <ol aria-label={WORDS.events} className="divide-y divide-line border-t border-line">
        {open.events.map((e) => (
          <EventRow key={e.id} event={e} open={open} total={total} />
        ))}
      </ol>
    </section>
  );
}

function Drawing({ heading, at, zone, svg }: { heading: string | null; at: string; zone: string; svg: string }) {
  return (
    <div className="min-w-0">
      {heading ? (
        <h3 className="px-3 pt-2 font-sans text-[14px]">
          <strong>{heading}</strong>, <ZonedTime at={at} zone={zone} />
        </h3>
      ) : null}
      {/* Drawn by our own painter, which escapes every text, when it was submitted. */}
      <div
        className="overflow-x-auto p-2 [&>svg]:h-auto [&>svg]:max-w-full"
        dangerouslySetInnerHTML={{ __html: svg }}
      />
    </div>
  );
}

/** Of the words a comment is pinned to so many are named. */
const MOST_PICKED = 120;

/** An event as it was written, and beside it the field for the comment on it. */
function EventRow({ event: e, open, total }: { event: DeskEvent; open: DeskSubmission; total: number }) {
  const { values, change } = useMark(open, total);
  const earlier = open.before?.comments[e.id];
  const words = useRef<HTMLDivElement>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const [picked, setPicked] = useState("");
  // What is selected of the text can be commented on: what was handed in does not change, so its words are the pin.
  useEffect(() => {
    const look = () => {
      const selection = document.getSelection();
      const inside = selection?.anchorNode && words.current?.contains(selection.anchorNode);
      setPicked(inside ? selection.toString().replaceAll(/\s+/g, " ").trim().slice(0, MOST_PICKED) : "");
    };
    document.addEventListener("selectionchange", look);
    return () => document.removeEventListener("selectionchange", look);
  }, []);
  const pin = () => {
    const before = (values.comments[e.id] ?? "").trimEnd();
    change({ comments: { ...values.comments, [e.id]: `${before}${before ? "\n" : ""}${COMMON.named(picked)} – ` } });
    field.current?.focus();
  };
  return (
    <li className="grid gap-x-5 gap-y-2 px-3 py-3 [contain-intrinsic-size:auto_140px] [content-visibility:auto] md:grid-cols-[minmax(0,1fr)_minmax(200px,280px)]">
      <div className="min-w-0">
        <p className="text-[14px]">
          <strong className="text-verdigris">{e.when || WORDS.noDate}</strong>
          {e.category ? <span className="text-quiet"> · {e.category}</span> : null}
          {e.since ? (
            <strong className="ms-2 rounded-sm bg-sun px-1.5 text-[12px] text-slate">
              {e.since === "new" ? WORDS.new : WORDS.changed}
            </strong>
          ) : null}
        </p>
        <h3 className="text-[17px]">{e.title || WORDS.untitled}</h3>
        {e.html ? (
          <div
            ref={words}
            className="mt-1 max-w-[62ch] text-[15px] [&_a]:underline [&_blockquote]:border-s-2 [&_blockquote]:border-line [&_blockquote]:ps-3 [&_ol]:list-decimal [&_ol]:ps-5 [&_p]:mb-1.5 [&_ul]:list-disc [&_ul]:ps-5"
            // Escaped where it is made (blocks-html.ts).
            dangerouslySetInnerHTML={{ __html: e.html }}
          />
        ) : (
          <p className="mt-1 text-[14px] text-quiet">{WORDS.noDescription}</p>
        )}
        {e.media.length > 0 ? (
          <div className="mt-2 flex flex-wrap gap-2">
            {e.media.map((m) => (
              <Medium key={m.path + m.elsewhere} medium={m} />
            ))}
          </div>
        ) : null}
        <p className="mt-1.5 text-[13px] text-quiet">
          {e.sources.length === 0 ? WORDS.noSource : WORDS.source}
          {e.sources.map((s, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a frozen list
            <span key={i}>
              {i > 0 ? "; " : ""}
              {s.address ? (
                <a className="underline" href={s.address} target="_blank" rel="noopener noreferrer nofollow">
                  {s.text}
                </a>
              ) : (
                s.text
              )}
              {s.quote ? <q className="ms-1">{s.quote}</q> : null}
            </span>
          ))}
        </p>
      </div>
      <div>
        <Field label={WORDS.commentOn(e.title || WORDS.untitled)} hint={earlier ? WORDS.before2(earlier) : null}>
          {(ids) => (
            <textarea
              ref={field}
              id={ids.id}
              aria-describedby={ids.describedBy}
              rows={3}
              className={`${INPUT} h-auto py-1.5`}
              value={values.comments[e.id] ?? ""}
              onChange={(x) => change({ comments: { ...values.comments, [e.id]: x.target.value } })}
            />
          )}
        </Field>
        {picked ? (
          <Button size="small" className="mt-1" onMouseDown={(x) => x.preventDefault()} onClick={pin}>
            {WORDS.commentOnWords(picked)}
          </Button>
        ) : null}
      </div>
    </li>
  );
}

function Medium({ medium: m }: { medium: DeskMedium }) {
  return (
    <figure className="max-w-[240px]">
      {m.path === "" ? null : m.kind === "picture" ? (
        <a href={`${m.path}/large`} target="_blank" rel="noreferrer">
          <img src={`${m.path}/medium`} alt={m.text} loading="lazy" className="max-h-40 w-auto rounded-sm" />
        </a>
      ) : m.kind === "video" ? (
        // biome-ignore lint/a11y/useMediaCaption: a student's own film, without captions
        <video
          src={`${m.path}/whole`}
          controls
          preload="metadata"
          aria-label={m.text || WORDS.video}
          className="max-h-40"
        />
      ) : (
        // biome-ignore lint/a11y/useMediaCaption: a student's own recording
        <audio
          src={`${m.path}/whole`}
          controls
          preload="metadata"
          aria-label={m.text || WORDS.sound}
          className="w-60"
        />
      )}
      <figcaption className="text-[12px] text-quiet">
        {m.caption || m.elsewhere ? <b className="text-ink">{m.caption || m.text} </b> : null}
        {m.elsewhere ? (
          <a className="me-1 underline" href={m.elsewhere} target="_blank" rel="noopener noreferrer nofollow">
            {WORDS.atAnotherSite}
          </a>
        ) : null}
        {m.credit || WORDS.noCredit}
      </figcaption>
    </figure>
  );
}
