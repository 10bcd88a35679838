"use client";

import { PageLink } from "@/ui/page-link";
import { useEffect, useRef, useState } from "react";
import { colourOf, initialsOf } from "@/core/presence/present";
import { WORDS as PRESENCE } from "@/core/words/presence";
import { COMMENTS, WORDS } from "@/core/words/together";
import { askServer } from "@/ui/ask-server";
import { CommentThreads } from "@/ui/comments/comment-threads";
import { SuggestionList } from "@/ui/comments/suggestion-list";
import { Button } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { OwnEvents } from "./own-events";
import { SuggestForm } from "./suggest-form";
import { listenLive } from "@/ui/live";
import { usePresence } from "@/ui/presence/use-presence";
import { useReady } from "@/ui/use-ready";

/** So many letters of the words a comment is about are kept. */
const MOST_WORDS = 300;
const RIGHT_OF = { reader: "read", commenter: "comment", adder: "add" } as const;

/** A timeline as its guests see it: its read view as it stands, and beside it what was said, for those who comment. */
export function GuestView({
  timeline,
  title,
  role,
  account,
  mayLeave,
  events,
}: {
  timeline: string;
  title: string;
  role: "reader" | "commenter" | "adder";
  account: string;
  /** Teachers see it by their class, and leave nothing. */
  mayLeave: boolean;
  events: readonly { id: string; title: string }[];
}) {
  const ready = useReady();
  const frame = useRef<HTMLIFrameElement>(null);
  const reader = `/timelines/${timeline}/reader?framed`;
  const [about, setAbout] = useState("");
  const [words, setWords] = useState("");
  const [changed, setChanged] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const [gone, setGone] = useState(false);
  const present = usePresence(
    timeline,
    account,
    gone ? null : { at: "reading", event: about || null, field: "", follows: null },
  );
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    // A right may have become another one, or none: with another the page is another.
    const ask = async () => {
      const got = await askServer<{ right: string }>("GET", `/api/timelines/${timeline}/right`);
      if (got.ok && got.value.right !== RIGHT_OF[role]) window.location.reload();
      if (!got.ok && (got.failed === "not_found" || got.failed === "sign_in_first")) setGone(true);
    };
    return listenLive((m) => {
      if (m.kind === "signed_out") setGone(true);
      else if (m.kind === "catch_up") void ask();
      else if (!("timeline" in m) || m.timeline !== timeline) return;
      else if (m.kind === "changed") setChanged(true);
      else if (m.kind === "right_lost") void ask();
    });
  }, [timeline, role]);
  const [came, setCame] = useState(false);
  const listened = useRef<Document | null>(null);
  /** What the page in the frame goes to as soon as it is there. */
  const wanted = useRef("");
  const isThere = () => frame.current?.contentDocument?.location.pathname === reader.split("?")[0];
  /** The page goes to an event by its own script: an address the browser goes to itself would take the focus with it. */
  const goTo = (event: string) => {
    const page = frame.current?.contentWindow;
    if (!page) return;
    if (!isThere()) {
      wanted.current = event;
      // It has not come yet, or was led elsewhere.
      if (came) page.location.replace(reader);
      return;
    }
    // What is asked of the page besides, as only some of its events, stays.
    page.history.replaceState(page.history.state, "", `#e-${event}`);
    page.dispatchEvent(new HashChangeEvent("hashchange"));
  };
  /** What is chosen of an event's words is what the next comment is about. */
  const listenToFrame = () => {
    const page = frame.current?.contentDocument;
    if (!page || page === listened.current || page.URL === "about:blank") return;
    listened.current = page;
    setCame(true);
    // Asked once: where another page comes instead, as after the session has ended, it is not asked again and again.
    const event = wanted.current;
    wanted.current = "";
    if (event !== "" && isThere()) goTo(event);
    page.addEventListener("selectionchange", () => {
      const chosen = page.getSelection();
      const at = chosen?.anchorNode;
      const within = (at?.nodeType === Node.ELEMENT_NODE ? (at as Element) : at?.parentElement)?.closest<HTMLElement>(
        "[id^='e-'],[data-event]",
      );
      const event = within?.dataset.event ?? within?.id.slice(2);
      const text = chosen?.toString().replaceAll(/\s+/g, " ").trim().slice(0, MOST_WORDS) ?? "";
      if (text === "" || !event || !events.some((e) => e.id === event)) return;
      setAbout(event);
      setWords(text);
    });
  };
  const latestListen = useRef(listenToFrame);
  latestListen.current = listenToFrame;
  // It may have come before this page woke up: then nobody tells that it has.
  useEffect(() => latestListen.current(), []);
  const show = (event: string) => {
    setAbout(event);
    setWords("");
    if (event !== "") goTo(event);
  };
  if (gone)
    return (
      <main className="mx-auto max-w-[520px] px-5 py-10">
        <p role="alert">{WORDS.withdrawn}</p>
        <p className="mt-4">
          <PageLink href="/" className="font-bold text-verdigris underline">
            {WORDS.toYourTimelines}
          </PageLink>
        </p>
      </main>
    );
  return (
    <main className="flex min-h-0 flex-1 max-md:flex-col">
      <div className="flex min-h-0 min-w-0 flex-1 flex-col max-md:h-[70dvh] max-md:flex-none">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-panel px-4 py-1.5 text-[14px]">
          <h1 className="sr-only">{title || WORDS.untitled}</h1>
          <span className="text-quiet">{WORDS.youMay[role]}</span>
          {present.length > 0 ? (
            <ul className="flex gap-1" aria-label={PRESENCE.here}>
              {present.map((p) => (
                <li
                  key={p.account}
                  title={p.name}
                  style={{ backgroundColor: colourOf(p.account) }}
                  className="flex size-7 items-center justify-center rounded-full text-[12px] font-bold text-white"
                >
                  <span className="sr-only">{p.name}</span>
                  <span aria-hidden="true">{initialsOf(p.name)}</span>
                </li>
              ))}
            </ul>
          ) : null}
          {changed ? (
            <span role="status" className="flex items-center gap-2">
              {WORDS.hasChanged}
              <Button
                size="small"
                onClick={() => {
                  setChanged(false);
                  frame.current?.contentWindow?.location.reload();
                }}
              >
                {WORDS.lookAnew}
              </Button>
            </span>
          ) : null}
          {mayLeave ? (
            <Button size="small" kind="quiet" className="ms-auto" disabled={!ready} onClick={() => setLeaving(true)}>
              {WORDS.leave}
            </Button>
          ) : null}
        </div>
        {came ? null : (
          <p role="status" className="p-4 text-quiet">
            {WORDS.coming}
          </p>
        )}
        <iframe
          ref={frame}
          title={title || WORDS.theTimeline}
          onLoad={listenToFrame}
          src={reader}
          className="min-h-0 w-full flex-1 border-0"
        />
      </div>
      {role !== "reader" ? (
        <aside
          aria-label={COMMENTS.comments}
          className="w-[380px] shrink-0 overflow-y-auto border-s-2 border-slate bg-white p-4 max-md:w-full max-md:overflow-visible max-md:border-t-2 max-md:border-s-0"
        >
          {role === "adder" ? <OwnEvents timeline={timeline} onShow={show} /> : null}
          <SuggestForm timeline={timeline} titles={events} about={about} onEvent={show} />
          <SuggestionList timeline={timeline} />
          <h2 className="mb-2 text-[18px]">{COMMENTS.comments}</h2>
          <CommentThreads
            timeline={timeline}
            titles={events}
            about={about}
            words={words}
            onWords={setWords}
            onAbout={show}
            onOpen={show}
            onRefused={() => setGone(true)}
          />
        </aside>
      ) : null}
      <Modal title={WORDS.leave} open={leaving} onOpenChange={setLeaving}>
        <p>{WORDS.leaveSure}</p>
        <Problem text={problem} className="mt-2" />
        <div className="mt-4 flex gap-2">
          <Button
            kind="main"
            onClick={async () => {
              const done = await askServer("DELETE", `/api/timelines/${timeline}/editors/${account}`);
              if (done.ok) window.location.assign("/");
              else setProblem(done.sentence);
            }}
          >
            {WORDS.leave}
          </Button>
          <Button onClick={() => setLeaving(false)}>{WORDS.cancel}</Button>
        </div>
      </Modal>
    </main>
  );
}
