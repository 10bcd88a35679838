import { nanoid } from "nanoid";
import type { Change, ConfirmedChange } from "@/core/change/change";
import type { Snapshot } from "@/core/formats/snapshot";
import type { Publication } from "@/core/published/publication";
import type { OwnWork } from "@/core/check/own-work";
import { type Answer, askPacked, askServer } from "@/ui/ask-server";
import { type LeftInTab, leftInTab } from "@/ui/kept-here";
import { type LiveMessage, listenLive } from "@/ui/live";
import { PendingDb, type SetAside } from "./pending-db";

export interface EditorPerson {
  id: string;
  displayName: string;
  role: "owner" | "editor";
}

export type { Publication };

/** What the server says of a timeline after a number. */
export interface CaughtUp {
  changes: ConfirmedChange[];
  seq: number;
  editors: EditorPerson[];
  publication: Publication | null;
  /** Null for a timeline of no assignment. */
  work: OwnWork | null;
}

/** The changes of one tab that the server has not confirmed yet, kept on this device. */
export interface PendingChanges {
  /** What tabs that are gone have left, the oldest first; it belongs to this tab from now on. */
  takeOver(): Promise<Change[]>;
  /** Resolves when it is on the disk. */
  put(change: Change): Promise<void>;
  /** Gives a change another number, in its place among the others. */
  rename(from: string, to: Change): Promise<void>;
  remove(id: string): Promise<void>;
  /** Sets a change aside that the server will not take. */
  refuse(change: Change, sentence: string): Promise<void>;
  setAside(): Promise<SetAside[]>;
  forget(key: string): Promise<void>;
  /** Leaves what is pending to whoever opens the timeline next. */
  leave(): void;
}

/** Everything outside that an editor of a timeline reaches, by name: so that it can be tried without any of it. */
export interface Ports {
  /** Sends a change; `known`: the number up to which everything is here. No answer within the patience counts as none. */
  send(
    change: Omit<Change, "author"> & { known: number },
    patienceMs: number,
  ): Promise<Answer<{ seq: number; changes: ConfirmedChange[] }>>;
  /** The changes after a number, as many as one answer holds. */
  catchUp(after: number): Promise<Answer<CaughtUp>>;
  /** The timeline as it stands. */
  readWhole(): Promise<Answer<Snapshot>>;
  /** What is heard of others; gives the way to stop. */
  listen(onMessage: (m: LiveMessage) => void): () => void;
  pending: PendingChanges;
  /** Editors that were left in this tab with something that is on no disk, by account and timeline. */
  left: Map<string, LeftInTab>;
  /** What can be undone, kept for as long as the tab is: read once, and written when the page goes. */
  kept: { read(): string | null; write(text: string): void };
  newId(): string;
  /** Runs something once, or again and again; gives the way to stop it. */
  after(ms: number, run: () => void): () => void;
  every(ms: number, run: () => void): () => void;
  /** The page is connected again, and is about to go; gives the way to stop. */
  watchPage(on: { online: () => void; hidden: () => void }): () => void;
  /** Whether the browser asks before the page goes: as long as one of those that hold it does. */
  holdPage(by: object, held: boolean): void;
}

const CATCH_UP_MS = 20_000;

const holding = new Set<object>();
const askFirst = (e: BeforeUnloadEvent) => e.preventDefault();

/** The outside of an editor in a browser. */
export function browserPorts(account: string, timeline: string): Ports {
  return {
    send: (change, patienceMs) => askServer("POST", `/api/timelines/${timeline}/changes`, change, patienceMs),
    catchUp: (after) => askServer("GET", `/api/timelines/${timeline}/changes?after=${after}`, undefined, CATCH_UP_MS),
    readWhole: () => askPacked(`/api/timelines/${timeline}`),
    listen: listenLive,
    pending: new PendingDb(account, timeline, nanoid(8)),
    left: leftInTab,
    kept: {
      read: () => {
        try {
          return sessionStorage.getItem(`fastigo-undo-${account}-${timeline}`);
        } catch {
          return null;
        }
      },
      write: (text) => {
        try {
          sessionStorage.setItem(`fastigo-undo-${account}-${timeline}`, text);
        } catch {
          // Where a browser keeps nothing, undo begins anew with the page.
        }
      },
    },
    newId: () => nanoid(),
    after: (ms, run) => {
      const timer = setTimeout(run, ms);
      return () => clearTimeout(timer);
    },
    every: (ms, run) => {
      const timer = setInterval(run, ms);
      return () => clearInterval(timer);
    },
    watchPage: ({ online, hidden }) => {
      window.addEventListener("online", online);
      window.addEventListener("pagehide", hidden);
      return () => {
        window.removeEventListener("online", online);
        window.removeEventListener("pagehide", hidden);
      };
    },
    // Only as long as something would be lost: a page that always asks is not kept in the browser's memory.
    holdPage: (by, held) => {
      if (held) holding.add(by);
      else holding.delete(by);
      if (holding.size > 0) window.addEventListener("beforeunload", askFirst);
      else window.removeEventListener("beforeunload", askFirst);
    },
  };
}
