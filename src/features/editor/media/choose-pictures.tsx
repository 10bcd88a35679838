"use client";

import { WORDS } from "@/core/words/picture-choice";
import { Images, LibraryBig } from "lucide-react";
import { Tabs } from "radix-ui";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { askServer } from "@/ui/ask-server";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useEditor } from "../store/editor-context";
import { attachMedia } from "../store/media-deeds";
import type { UploadedMedia } from "@/ui/upload";
import type { Found } from "../store/upload-queue";

interface OnShelf {
  id: string;
  title: string;
  says: string;
  subject: string;
  licence: string;
}
interface Used {
  media: string;
  timeline: string;
  timelineTitle: string;
  kind: UploadedMedia["kind"];
  name: string;
  width: number | null;
  uploadedAt: string;
  text: string;
  caption: string;
  credit: string;
  licence: string;
  address: string;
  events: string[];
}

/** How long one stops typing before it is looked for, ms. */
const REST_MS = 250;

type Way = "shelf" | "used";

/** Pictures from the shelf, and what one has uploaded before, chosen for an event. */
export function ChoosePictures({ of, one }: { of: string; one: boolean }) {
  const [way, setWay] = useState<Way | null>(null);
  const close = () => setWay(null);
  return (
    <>
      <Button onClick={() => setWay("shelf")}>
        <LibraryBig size={16} /> {WORDS.fromTheShelf}
      </Button>
      <Button onClick={() => setWay("used")}>
        <Images size={16} /> {WORDS.usedBefore}
      </Button>
      <Modal title={WORDS.choosePictures} open={way !== null} onOpenChange={(open) => (open ? null : close())} wide>
        {way === null ? null : (
          <Tabs.Root value={way} onValueChange={(v) => setWay(v as Way)}>
            <Tabs.List className="mb-3 flex gap-1 border-b border-line" aria-label={WORDS.choosePictures}>
              {(["shelf", "used"] as const).map((v) => (
                <Tabs.Trigger
                  key={v}
                  value={v}
                  className="-mb-px border-b-3 border-transparent px-3 py-2 font-bold text-quiet data-[state=active]:border-verdigris data-[state=active]:text-ink"
                >
                  {v === "shelf" ? WORDS.fromTheShelf : WORDS.usedBefore}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <Tabs.Content value="shelf">
              <Shelf of={of} one={one} onDone={close} />
            </Tabs.Content>
            <Tabs.Content value="used">
              <UsedBefore of={of} one={one} onDone={close} />
            </Tabs.Content>
          </Tabs.Root>
        )}
      </Modal>
    </>
  );
}

/** What became of an upload that was deleted. */
interface Deleted {
  entries: number;
  frozen: string[];
}

interface Listing {
  of: string;
  one: boolean;
  onDone: () => void;
}

function Shelf({ of, one, onDone }: Listing) {
  const { store } = useEditor();
  const list = useFound<OnShelf>("/api/pictures");
  const taking = useTaking(of, one, onDone);
  return (
    <>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.shelfHelp}</p>
      <Results list={list} example={WORDS.shelfExample} empty={WORDS.none(list.words)}>
        {list.found.map((p) => (
          <Choice
            key={p.id}
            title={p.title}
            picture={`/api/pictures/${p.id}`}
            alt={p.says}
            lines={[`${p.subject}, ${p.licence}`]}
            state={taking.states[p.id]}
            onTake={() =>
              taking.take(p.id, "POST", `/api/timelines/${store.timelineId}/pictures/found`, { picture: p.id })
            }
          />
        ))}
      </Results>
      <Problem text={taking.problem} className="mt-2" />
    </>
  );
}

function UsedBefore({ of, one, onDone }: Listing) {
  const { store } = useEditor();
  const list = useFound<Used>("/api/pictures/mine");
  const [deleted, setDeleted] = useState<string | null>(null);
  const taking = useTaking(of, one, onDone);
  return (
    <>
      {deleted ? (
        <p role="status" className="mb-2 rounded-md bg-sun-wash px-3 py-2 text-[14px]">
          {deleted}
        </p>
      ) : null}
      <Results list={list} example={WORDS.usedExample} empty={list.words ? WORDS.none(list.words) : WORDS.nothingUsed}>
        {list.found.map((u) => (
          <Choice
            key={u.media}
            title={u.caption || u.text || u.name}
            picture={u.width ? `/api/timelines/${u.timeline}/media/${u.media}/small` : null}
            alt={u.text}
            lines={[WORDS.uploaded(u.uploadedAt.slice(0, 10), u.timelineTitle), WORDS.shownBy(u.events)]}
            state={taking.states[u.media]}
            onTake={() => {
              const { text, caption, credit, licence, address } = u;
              void taking.take(
                u.media,
                "POST",
                `/api/timelines/${store.timelineId}/media`,
                { from: u.timeline, media: u.media },
                { text, caption, credit, licence, address },
              );
            }}
            onDelete={async () => {
              const answer = await askServer<Deleted>("DELETE", `/api/timelines/${u.timeline}/media/${u.media}`);
              if (!answer.ok) return answer.sentence;
              setDeleted(WORDS.deleted(answer.value.entries, answer.value.frozen));
              list.without((x) => x.media === u.media);
              return null;
            }}
          />
        ))}
      </Results>
      <Problem text={taking.problem} className="mt-2" />
    </>
  );
}

interface FoundList<T> {
  words: string;
  setWords: (words: string) => void;
  found: T[];
  more: boolean;
  busy: boolean;
  problem: string | null;
  showMore: () => void;
  /** Takes out of the list what is no longer there. */
  without: (gone: (one: T) => boolean) => void;
}

/** A list that is looked for while one types, page after page. */
function useFound<T>(path: string): FoundList<T> {
  const [words, setWords] = useState("");
  const [found, setFound] = useState<T[]>([]);
  const [more, setMore] = useState(false);
  const [busy, setBusy] = useState(true);
  const [problem, setProblem] = useState<string | null>(null);
  const pages = useRef(0);
  /** What was asked for last: an answer to something earlier is too late. */
  const asked = useRef(0);
  const ask = async (text: string, page: number) => {
    const own = ++asked.current;
    setBusy(true);
    const answer = await askServer<{ found: T[]; more: boolean }>(
      "GET",
      `${path}?words=${encodeURIComponent(text.slice(0, 150))}&page=${page}`,
    );
    if (own !== asked.current) return;
    setBusy(false);
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    pages.current = page + 1;
    setFound((before) => (page === 0 ? answer.value.found : [...before, ...answer.value.found]));
    setMore(answer.value.more);
  };
  const latest = useRef(ask);
  latest.current = ask;
  const first = useRef(true);
  useEffect(() => {
    const rest = setTimeout(() => void latest.current(words, 0), first.current ? 0 : REST_MS);
    first.current = false;
    return () => clearTimeout(rest);
  }, [words]);
  return {
    words,
    setWords,
    found,
    more,
    busy,
    problem,
    showMore: () => void ask(words, pages.current),
    without: (gone) => setFound((all) => all.filter((x) => !gone(x))),
  };
}

/** What is taken, by its id; where only one is wanted the list closes after it. */
function useTaking(of: string, one: boolean, onDone: () => void) {
  const { store } = useEditor();
  const [states, setStates] = useState<Record<string, "taking" | "taken">>({});
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (id: string, method: "POST", path: string, body: unknown, known: Found = {}) => {
    setStates((s) => ({ ...s, [id]: "taking" }));
    setProblem(null);
    const answer = await askServer<{ media: UploadedMedia } & Found>(method, path, body);
    const fail = (sentence: string) => {
      setProblem(sentence);
      setStates(({ [id]: _, ...rest }) => rest);
    };
    if (!answer.ok) return fail(answer.sentence);
    const { media, ...found } = answer.value;
    const refused = attachMedia(store, of, media, { ...known, ...found });
    if (refused) return fail(refused);
    setStates((s) => ({ ...s, [id]: "taken" }));
    if (one) onDone();
  };
  return { states, problem, take };
}

function Results<T>({
  list,
  example,
  empty,
  children,
}: {
  list: FoundList<T>;
  example: string;
  empty: string;
  children: ReactNode;
}) {
  const none = !list.busy && !list.problem && list.found.length === 0;
  return (
    <>
      <label className="text-[13px] text-quiet">
        {WORDS.lookFor}
        <input
          type="search"
          className={INPUT}
          value={list.words}
          placeholder={example}
          onChange={(e) => list.setWords(e.target.value)}
        />
      </label>
      <p role="status" className="mt-1.5 min-h-5 text-[13px] text-quiet">
        {list.busy ? WORDS.searching : none ? "" : WORDS.found(list.found.length, list.more)}
      </p>
      {none ? <p className="py-6 text-center">{empty}</p> : null}
      <Problem text={list.problem} />
      <ul className="mt-1 grid grid-cols-3 gap-3 max-sm:grid-cols-2">{children}</ul>
      {list.more ? (
        <Button className="mt-3" disabled={list.busy} onClick={list.showMore}>
          {WORDS.more}
        </Button>
      ) : null}
    </>
  );
}

function Choice({
  title,
  picture,
  alt,
  lines,
  state,
  onTake,
  onDelete,
}: {
  title: string;
  picture: string | null;
  alt: string;
  lines: string[];
  state: "taking" | "taken" | undefined;
  onTake: () => void;
  /** Deletes it for good; a sentence where that could not be. */
  onDelete?: () => Promise<string | null>;
}) {
  return (
    <li className="flex flex-col">
      <button
        type="button"
        aria-label={`${WORDS.take(title)}${state ? `, ${WORDS[state]}` : ""}`}
        disabled={state === "taking"}
        className={classes(
          "group block w-full rounded-md p-1 text-start hover:bg-verdigris-wash focus-visible:outline-2",
          state === "taken" && "bg-verdigris-wash",
        )}
        onClick={onTake}
      >
        {picture ? (
          <img
            src={picture}
            alt={alt}
            width={480}
            height={320}
            loading="lazy"
            className="aspect-[3/2] w-full rounded bg-panel object-cover"
          />
        ) : (
          <span className="flex aspect-[3/2] w-full items-center justify-center rounded bg-panel text-[13px] text-quiet">
            {title}
          </span>
        )}
        <span className="mt-1 block truncate text-[14px] font-bold text-ink">{title}</span>
        {lines.map((l) => (
          <span key={l} className="block truncate text-[12px] text-quiet" title={l}>
            {l}
          </span>
        ))}
        {state ? <span className="block text-[12px] font-bold text-verdigris">{WORDS[state]}</span> : null}
      </button>
      {onDelete ? <DeleteForGood title={title} onDelete={onDelete} /> : null}
    </li>
  );
}

/** Deletes what was uploaded, after it has been said what that means. */
function DeleteForGood({ title, onDelete }: { title: string; onDelete: () => Promise<string | null> }) {
  const [asks, setAsks] = useState(false);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  if (!asks)
    return (
      <button
        type="button"
        aria-label={WORDS.deleteNamed(title)}
        className="min-h-6 self-start px-1 text-[12px] text-quiet underline hover:text-ink"
        onClick={() => setAsks(true)}
      >
        {WORDS.deleteIt}
      </button>
    );
  return (
    <div role="group" aria-label={WORDS.deleteNamed(title)} className="rounded-md bg-sun-wash p-2 text-[13px]">
      <p className="mb-1.5">{WORDS.beforeDeleting}</p>
      <div className="flex flex-wrap gap-1.5">
        <Button
          size="small"
          disabled={busy}
          onClick={() => {
            setBusy(true);
            void onDelete().then((sentence) => {
              setProblem(sentence);
              setBusy(false);
            });
          }}
        >
          {WORDS.deleteForGood}
        </Button>
        <Button size="small" disabled={busy} onClick={() => setAsks(false)}>
          {WORDS.keepIt}
        </Button>
      </div>
      <Problem text={problem} className="mt-1.5" />
    </div>
  );
}
