"use client";

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

export interface Deleted {
  id: string;
  title: string;
  deletedAt: string;
}

export function Sessions({ sessions }: { sessions: OpenSession[] }) {
  const { ready, outcome, run } = useDeed();
  const end = (path: string) => void run("DELETE", path, "Ended.");
  return (
    <Part title="Where you are signed in">
      <ul className="divide-y divide-line border-y border-line">
        {sessions.map((s) => (
          <li key={s.id} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <span>
              {s.browser || "A browser"}
              {s.own ? <strong> – here</strong> : null}
            </span>
            <span className="text-[14px] text-quiet">
              last seen <LocalTime at={s.seenAt} />
            </span>
            {s.own ? null : (
              <Button
                size="small"
                className="ml-auto"
                disabled={!ready}
                onClick={() => end(`/api/account/sessions/${s.id}`)}
              >
                End it
              </Button>
            )}
          </li>
        ))}
      </ul>
      {sessions.length > 1 ? (
        <Button size="small" className="mt-3" disabled={!ready} onClick={() => end("/api/account/sessions")}>
          End all others
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
    <Part title="Frozen copies">
      <p className="mb-2 text-[14px] text-quiet">
        A frozen copy stays at its link when its timeline is deleted, until you close it or the timeline has been
        deleted for 30 days.
      </p>
      <ul className="divide-y divide-line border-y border-line">
        {copies.map((c) => (
          <li key={c.address} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <a href={`/f/${c.address}`} className="font-bold text-verdigris underline">
              {c.title || "Untitled"}
            </a>
            <span className="text-[14px] text-quiet">
              <LocalTime at={c.createdAt} />
              {c.deleted ? " · the timeline is deleted" : ""}
            </span>
            <Button
              size="small"
              className="ml-auto"
              disabled={!ready}
              onClick={() =>
                void run("DELETE", `/api/timelines/${c.timeline}/frozen-copies/${c.address}`, "Its link is closed.")
              }
            >
              Close its link
            </Button>
          </li>
        ))}
      </ul>
      <Said outcome={outcome} />
    </Part>
  );
}

export function Bin({ bin }: { bin: Deleted[] }) {
  const { ready, outcome, run } = useDeed();
  if (bin.length === 0 && !outcome) return null;
  return (
    <Part title="Bin">
      <p className="mb-2 text-[14px] text-quiet">Deleted timelines are kept for 30 days, then destroyed for good.</p>
      <ul className="divide-y divide-line border-y border-line">
        {bin.map((b) => (
          <li key={b.id} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <strong>{b.title || "Untitled"}</strong>
            <span className="text-[14px] text-quiet">
              deleted <LocalTime at={b.deletedAt} />
            </span>
            <Button
              size="small"
              className="ml-auto"
              disabled={!ready}
              onClick={() =>
                void run(
                  "PATCH",
                  `/api/timelines/${b.id}`,
                  `“${b.title || "Untitled"}” is back among your timelines.`,
                  {
                    deleted: false,
                  },
                )
              }
            >
              Put back
            </Button>
          </li>
        ))}
      </ul>
      <Said outcome={outcome} />
    </Part>
  );
}
