"use client";

import { useCallback, useRef, useState } from "react";
import { COMMENTS as WORDS } from "@/core/words/together";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field as FieldOf, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { ReportSaid } from "./report-said";
import { useLiveLook } from "./use-live-look";
import { LocalTime } from "@/ui/local-time";
import { useLatest } from "@/ui/use-latest";
import { useDraft } from "@/ui/use-draft";
import { useReady } from "@/ui/use-ready";

interface Said {
  id: string;
  by: string;
  mine: boolean;
  text: string;
  at: string;
  altered: boolean;
}
type Field = keyof typeof WORDS.fields;
interface Thread {
  id: string;
  event: string;
  field: Field;
  words: string;
  resolvedBy: string | null;
  said: Said[];
}
interface Answer {
  threads: Thread[];
  people: string[];
  read: { name: string; all: boolean }[];
  /** Whether this person may delete what others said. */
  moderates: boolean;
}

const MOST = 4_000;

/** What an open page shows of the comments on a timeline: asked for at once, and whenever something was said. */
function useComments(timeline: string, onRefused: (sentence: string) => void) {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [failed, setFailed] = useState(false);
  const refused = useRef(onRefused);
  refused.current = onRefused;
  const asked = useLatest();
  const look = useCallback(async () => {
    const isLast = asked();
    const got = await askServer<Answer>("GET", `/api/timelines/${timeline}/comments`);
    if (!isLast()) return;
    setFailed(!got.ok);
    if (got.ok) setAnswer(got.value);
    else if (got.failed === "not_found" || got.failed === "sign_in_first") refused.current(got.sentence);
  }, [timeline, asked]);
  useLiveLook(timeline, "comments right_lost", look);
  return { answer, failed, look };
}

/**
 * What was said about a timeline, and the field to say more. `about`: the event the next comment is about, "" for the whole; `words`: of
 * its words, which were chosen.
 */
export function CommentThreads({
  timeline,
  titles,
  about,
  onAbout,
  words,
  onWords,
  onOpen,
  onRefused,
}: {
  timeline: string;
  /** The events one can comment on, in their order. */
  titles: readonly { id: string; title: string }[];
  about: string;
  onAbout: (event: string) => void;
  /** "": about all of it. */
  words: string;
  onWords: (words: string) => void;
  /** Shows an event. */
  onOpen: (event: string) => void;
  onRefused: (sentence: string) => void;
}) {
  const ready = useReady();
  const { answer, failed, look } = useComments(timeline, onRefused);
  const [text, setText] = useDraft(`comment ${timeline}`);
  const [field, setField] = useState<Field>("");
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const path = `/api/timelines/${timeline}/comments`;
  const send = async (body: { event: string; field?: Field; words: string; thread: string | null; text: string }) => {
    const done = await askServer<{ untold: string[] }>("POST", path, body);
    setProblem(done.ok ? null : done.sentence);
    setSaid(done.ok && done.value.untold.length > 0 ? WORDS.untold(done.value.untold) : null);
    if (done.ok) await look();
    return done.ok;
  };
  const alter = async (method: "PATCH" | "DELETE", id: string, body?: object) => {
    const done = await askServer(method, `${path}/${id}`, body);
    setProblem(done.ok ? null : done.sentence);
    if (done.ok) await look();
    return done.ok;
  };
  const threads = answer?.threads ?? [];
  const done = threads.filter((t) => t.resolvedBy !== null);
  const shown = all ? threads : threads.filter((t) => t.resolvedBy === null);
  const nameOf = (event: string) =>
    event === "" ? WORDS.theWhole : (titles.find((t) => t.id === event)?.title ?? WORDS.gone);
  const readers = (answer?.read ?? []).filter((r) => r.all).map((r) => r.name);
  return (
    <div>
      <FieldOf label={WORDS.about}>
        {(ids) => (
          <select
            id={ids.id}
            className={INPUT}
            value={about}
            disabled={!ready}
            onChange={(e) => {
              setField("");
              onAbout(e.target.value);
            }}
          >
            <option value="">{WORDS.theWhole}</option>
            {titles.map((t) => (
              <option key={t.id} value={t.id}>
                {t.title}
              </option>
            ))}
          </select>
        )}
      </FieldOf>
      {about !== "" && !words ? (
        <FieldOf label={WORDS.field} className="mt-2">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={field}
              disabled={!ready}
              onChange={(e) => setField(e.target.value as Field)}
            >
              {Object.entries(WORDS.fields).map(([f, name]) => (
                <option key={f} value={f}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </FieldOf>
      ) : null}
      {words ? (
        <p className="mt-1 flex items-start gap-2 border-s-2 border-sun ps-2 text-[14px]">
          <span className="[overflow-wrap:anywhere]">{WORDS.aboutWords(words)}</span>
          <Button size="small" kind="quiet" onClick={() => onWords("")}>
            {WORDS.aboutAll}
          </Button>
        </p>
      ) : null}
      <FieldOf label={WORDS.newComment} hint={WORDS.newHelp} className="mt-2">
        {(ids) => (
          <textarea
            id={ids.id}
            aria-describedby={ids.describedBy}
            rows={3}
            maxLength={MOST}
            disabled={!ready}
            className={`${INPUT} h-auto py-1.5`}
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        )}
      </FieldOf>
      <Button
        className="mt-1.5"
        kind="main"
        size="small"
        disabled={!ready || text.trim() === ""}
        onClick={async () => {
          if (!(await send({ event: about, field: words ? "" : field, words, thread: null, text }))) return;
          // What was typed while it was on its way stays.
          setText((now) => (now === text ? "" : now));
          setField("");
          onWords("");
        }}
      >
        {WORDS.send}
      </Button>
      <Problem text={problem} className="mt-2" />
      {said ? (
        <p role="status" className="mt-2 text-[14px]">
          {said}
        </p>
      ) : null}
      {failed ? <p className="mt-3 text-[14px] text-copper-dark">{WORDS.couldNotFetch}</p> : null}
      {answer && shown.length === 0 ? (
        <p className="mt-4 text-quiet">{threads.length === 0 ? WORDS.none : WORDS.noneOpen}</p>
      ) : null}
      <ol aria-label={WORDS.comments} className="mt-4 flex flex-col gap-3">
        {shown.map((t) => (
          <li key={t.id} className="rounded-lg border border-line p-3">
            {t.event === "" || !titles.some((x) => x.id === t.event) ? (
              <span className="text-[14px] font-bold text-quiet">{nameOf(t.event)}</span>
            ) : (
              <button
                type="button"
                className="min-h-6 text-start text-[14px] font-bold text-verdigris underline"
                onClick={() => onOpen(t.event)}
              >
                {nameOf(t.event)}
              </button>
            )}
            {t.field ? <span className="text-[14px] text-quiet"> · {WORDS.fields[t.field]}</span> : null}
            {t.words ? <p className="border-s-2 border-sun ps-2 text-[14px]">{WORDS.aboutWords(t.words)}</p> : null}
            {t.said.map((s) => (
              <OneComment
                key={s.id}
                timeline={timeline}
                said={s}
                moderates={answer?.moderates ?? false}
                alter={alter}
              />
            ))}
            {t.resolvedBy === null ? (
              <AnswerLine
                by={t.said[0]?.by ?? ""}
                send={(a) => send({ event: "", words: "", thread: t.id, text: a })}
              />
            ) : (
              <p className="mt-1 text-[14px] text-verdigris">{WORDS.resolvedBy(t.resolvedBy)}</p>
            )}
            <Button
              size="small"
              kind="quiet"
              disabled={!ready}
              className="mt-1"
              onClick={() => void alter("PATCH", t.id, { resolved: t.resolvedBy === null })}
            >
              {t.resolvedBy === null ? WORDS.resolve : WORDS.reopen}
            </Button>
          </li>
        ))}
      </ol>
      {done.length > 0 ? (
        <Button size="small" kind="quiet" className="mt-3" onClick={() => setAll(!all)}>
          {all ? WORDS.hideResolved : WORDS.showResolved(done.length)}
        </Button>
      ) : null}
      {answer && threads.length > 0 && answer.read.length > 0 ? (
        <p className="mt-3 text-[13px] text-quiet">{readers.length > 0 ? WORDS.read(readers) : WORDS.readByNobody}</p>
      ) : null}
    </div>
  );
}

function OneComment({
  timeline,
  said: s,
  moderates,
  alter,
}: {
  timeline: string;
  said: Said;
  moderates: boolean;
  alter: (method: "PATCH" | "DELETE", id: string, body?: object) => Promise<boolean>;
}) {
  const [text, setText] = useState<string | null>(null);
  return (
    <div className="mt-2 text-[15px]">
      <p className="text-[13px] text-quiet">
        <strong className="text-ink">{s.by}</strong> <LocalTime at={s.at} />
        {s.altered ? ` · ${WORDS.altered}` : ""}
      </p>
      {text === null ? (
        <p className="whitespace-pre-line [overflow-wrap:anywhere]">{s.text}</p>
      ) : (
        <textarea
          aria-label={WORDS.yourWords}
          rows={3}
          maxLength={MOST}
          className={`${INPUT} h-auto py-1.5`}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      )}
      <span className="flex gap-1">
        {!s.mine ? null : text === null ? (
          <Button size="small" kind="quiet" aria-label={WORDS.alterOwn} onClick={() => setText(s.text)}>
            {WORDS.alter}
          </Button>
        ) : (
          <>
            <Button
              size="small"
              disabled={text.trim() === ""}
              onClick={async () => {
                if (await alter("PATCH", s.id, { text })) setText(null);
              }}
            >
              {WORDS.save}
            </Button>
            <Button size="small" kind="quiet" onClick={() => setText(null)}>
              {WORDS.cancel}
            </Button>
          </>
        )}
        {(s.mine || moderates) && text === null ? (
          <Button
            size="small"
            kind="quiet"
            aria-label={WORDS.removeOf(s.by)}
            onClick={() => void alter("DELETE", s.id)}
          >
            {WORDS.remove}
          </Button>
        ) : null}
        {s.mine ? null : <ReportSaid timeline={timeline} kind="comment" thing={s.id} by={s.by} />}
      </span>
    </div>
  );
}

function AnswerLine({ by, send }: { by: string; send: (text: string) => Promise<boolean> }) {
  const ready = useReady();
  const [text, setText] = useState("");
  return (
    <div className="mt-2 flex items-end gap-1.5">
      <textarea
        aria-label={WORDS.answer(by)}
        placeholder={WORDS.answer(by)}
        rows={1}
        maxLength={MOST}
        disabled={!ready}
        className={`${INPUT} h-auto flex-1 py-1.5`}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <Button
        size="small"
        disabled={!ready || text.trim() === ""}
        onClick={async () => {
          if (await send(text)) setText((now) => (now === text ? "" : now));
        }}
      >
        {WORDS.sendAnswer}
      </Button>
    </div>
  );
}
