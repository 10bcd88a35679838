"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/accounts";
import { Button } from "@/ui/controls/button";
import { LocalTime } from "@/ui/local-time";

import { Part, Said, useDeed } from "./account-pieces";

export interface OpenCopy {
  timeline: string;
  address: string;
  title: string;
  createdAt: string;
  deleted: boolean;
}

export interface OpenSession {
  id: string;
  browser: string;
  seenAt: string;
  own: boolean;
}

export function Sessions({ sessions }: { sessions: OpenSession[] }) {
  const { ready, outcome, run } = useDeed();
  const end = (path: string) => void run("DELETE", path, COMMON.ended);
  return (
    <Part title={WORDS.whereYouAreSignedIn}>
      <ul className="divide-y divide-line border-y border-line">
        {sessions.map((s) => (
          <li key={s.id} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <span>
              {s.browser || WORDS.aBrowser}
              {s.own ? <strong> {WORDS.here}</strong> : null}
            </span>
            <span className="text-[14px] text-quiet">
              {WORDS.lastSeen} <LocalTime at={s.seenAt} />
            </span>
            {s.own ? null : (
              <Button
                size="small"
                className="ms-auto"
                disabled={!ready}
                onClick={() => end(`/api/account/sessions/${s.id}`)}
              >
                {WORDS.endIt}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {sessions.length > 1 ? (
        <Button size="small" className="mt-3" disabled={!ready} onClick={() => end("/api/account/sessions")}>
          {WORDS.endAllOthers}
        </Button>
      ) : null}
      <Said outcome={outcome} />
    </Part>
  );
}

export function Copies({ copies }: { copies: OpenCopy[] }) {
  const { ready, outcome, run } = useDeed();
  if (copies.length === 0) return null;
  return (
    <Part title={WORDS.frozenCopies}>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.aFrozenCopyStaysAt}</p>
      <ul className="divide-y divide-line border-y border-line">
        {copies.map((c) => (
          <li key={c.address} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <a href={`/f/${c.address}`} className="font-bold text-verdigris underline">
              {c.title || WORDS.untitled}
            </a>
            <span className="text-[14px] text-quiet">
              <LocalTime at={c.createdAt} />
              {c.deleted ? WORDS.theTimelineIsDeleted : ""}
            </span>
            <Button
              size="small"
              className="ms-auto"
              disabled={!ready}
              onClick={() =>
                void run("DELETE", `/api/timelines/${c.timeline}/frozen-copies/${c.address}`, WORDS.itsLinkIsClosed)
              }
            >
              {WORDS.closeItsLink}
            </Button>
          </li>
        ))}
      </ul>
      <Said outcome={outcome} />
    </Part>
  );
}
