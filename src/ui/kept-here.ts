import { type IDBPDatabase, openDB } from "idb";
import type { Change } from "@/core/change/change";
import { language } from "@/core/language/spoken";
import { WORDS } from "@/core/words/editor-local";
import { askServer } from "./ask-server";

/** Whether somebody has said that this device is their own. */
const FLAG = "fastigo-own-device";
const KEPT = "fastigo-kept-";
/** A change that is sent late is waited for so long, ms. */
const PATIENCE_MS = 10_000;
/** What can be undone in this tab, as the editor keeps it over a reload. */
const UNDO = "fastigo-undo-";

export function isOwnDevice(): boolean {
  try {
    return localStorage.getItem(FLAG) === "yes";
  } catch {
    return false;
  }
}

export const canKeep = () => typeof navigator !== "undefined" && "serviceWorker" in navigator && window.isSecureContext;

/** Keeps the application on this device, or no longer; what was kept goes then. */
export async function setOwnDevice(own: boolean, build: string): Promise<void> {
  localStorage.setItem(FLAG, own ? "yes" : "no");
  if (own) await keepThisPage(build);
  else await forgetKept();
}

/**
 * Has what this page has loaded kept, with the page itself; called when an editor has come to rest. Gives whether it is kept. On a
 * device that is nobody's own it does nothing.
 */
export async function keepThisPage(build: string): Promise<boolean> {
  if (!isOwnDevice() || !canKeep()) return false;
  const registered = await navigator.serviceWorker.register(`/sw.js?build=${encodeURIComponent(build)}`);
  const worker = await newestOf(registered);
  if (!worker) return false;
  const loaded = performance.getEntriesByType("resource").map((r) => r.name);
  const path = window.location.pathname;
  const keep = [...new Set([...loaded, path, ...(path.startsWith("/timelines/") ? [`/api${path}`] : [])])];
  return new Promise((resolve) => {
    const done = (e: MessageEvent) => {
      if (!(e.data as { kept?: boolean } | null)?.kept) return;
      navigator.serviceWorker.removeEventListener("message", done);
      resolve(true);
    };
    navigator.serviceWorker.addEventListener("message", done);
    worker.postMessage({ keep, words: { ...WORDS.withoutNetwork, language: language() } });
  });
}

/** The worker of this build, once it has taken over; where that takes long, the one that works meanwhile. */
async function newestOf(registered: ServiceWorkerRegistration): Promise<ServiceWorker | null> {
  const coming = registered.installing ?? registered.waiting;
  if (coming)
    await new Promise<void>((go) => {
      const look = () => coming.state === "activated" && go();
      coming.addEventListener("statechange", look);
      setTimeout(go, PATIENCE_MS);
      look();
    });
  return registered.active ?? (await navigator.serviceWorker.ready).active;
}

/** Removes everything that is kept on this device but what has not been sent. */
export async function forgetKept(): Promise<void> {
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(UNDO)) sessionStorage.removeItem(key);
  if (!canKeep()) return;
  for (const r of await navigator.serviceWorker.getRegistrations()) await r.unregister();
  for (const name of await caches.keys()) if (name.startsWith(KEPT)) await caches.delete(name);
}

interface Unsent {
  timeline: string;
  changes: number;
}

/** What editors keep until it is sent; it rejects where no editor has ever kept anything, and makes nothing then. */
const openPending = () =>
  openDB("fastigo", 1, {
    upgrade: (_db, _old, _new, tx) => {
      tx.done.catch(() => {});
      tx.abort();
    },
  });

/** What waits, in the order in which it was written, whichever tab wrote it; what has no time is from an earlier version. */
export function asWritten(a: { at?: number; key?: string | null }, b: { at?: number; key?: string | null }): number {
  const [x, y] = [a.key ?? "", b.key ?? ""];
  return (a.at ?? 0) - (b.at ?? 0) || Number(x > y) - Number(x < y);
}

/** Of editors that were left in this tab: what waits and is on no disk. */
export interface LeftInTab {
  waiting(): readonly Change[];
  /** Whoever asks has it from now on. */
  handOver(): Change[];
  /** The server has it, or it was thrown away. */
  remove(id: string): Promise<void>;
}
/** By account and timeline, as what waits on the disk. */
export const leftInTab = new Map<string, LeftInTab>();

interface Waiting {
  /** Null: it is in this tab alone. */
  key: string | null;
  scope: string;
  at?: number;
  change: Change;
}

/** Everything of an account that waits on this device or in this tab, oldest first, each as it is now. */
async function waitingOf(account: string, db: IDBPDatabase | null): Promise<Waiting[]> {
  const rows = db ? ((await db.getAll("pending")) as (Waiting & { key: string; change: Change | string })[]) : [];
  const found = rows
    .filter((r) => isOf(account, r.scope))
    .sort(asWritten)
    .map(
      (r): Waiting => ({ ...r, change: typeof r.change === "string" ? (JSON.parse(r.change) as Change) : r.change }),
    );
  for (const [scope, left] of leftInTab) {
    if (!isOf(account, scope)) continue;
    for (const change of left.waiting()) {
      const older = found.find((f) => f.scope === scope && f.change.id === change.id);
      if (older) older.change = change;
      else found.push({ key: null, scope, at: Date.now(), change });
    }
  }
  return found;
}

/** Whether something that waits here is of an account: others who use this device are not shown it, and it waits on for its author. */
const isOf = (account: string, scope: string) => scope.startsWith(`${account}/`);

/** What an account has not sent yet, by timeline. */
export async function findUnsent(account: string): Promise<{ by: Unsent[]; text: string }> {
  const db = await openPending().catch(() => null);
  const own = await waitingOf(account, db);
  db?.close();
  const counts = new Map<string, number>();
  for (const { scope } of own) {
    const timeline = scope.slice(account.length + 1);
    counts.set(timeline, (counts.get(timeline) ?? 0) + 1);
  }
  return {
    by: [...counts].map(([timeline, changes]) => ({ timeline, changes })),
    text: own.length === 0 ? "" : JSON.stringify(own, null, 1),
  };
}

/**
 * Sends what an account has not sent yet, oldest first: each change has its number, so that one the server had before is done once.
 * Of a timeline whose change is not taken the rest stays.
 */
export async function sendUnsent(account: string): Promise<void> {
  const db = await openPending().catch(() => null);
  const stuck = new Set<string>();
  for (const { key, scope, change } of await waitingOf(account, db)) {
    if (stuck.has(scope)) continue;
    const { id, base, ops } = change;
    const path = `/api/timelines/${scope.slice(account.length + 1)}/changes`;
    const answer = await askServer("POST", path, { id, base, ops }, PATIENCE_MS);
    if (!answer.ok) {
      stuck.add(scope);
      continue;
    }
    if (key !== null) await db?.delete("pending", key);
    await leftInTab.get(scope)?.remove(id);
  }
  db?.close();
}

export interface Returned {
  /** How many changes the server has now, and how many it would not take. */
  sent: number;
  left: number;
  /** Timelines that got something. */
  timelines: string[];
  /** Why what is left was not taken; "" where all was. */
  why: string;
}

/**
 * Sends what a file holds that was saved when somebody signed out, oldest first: what the server has already is not done twice. Null
 * where it is no such file. Whose changes they are does not matter: they count as of whoever is signed in, where that person may edit.
 */
export async function returnUnsent(text: string): Promise<Returned | null> {
  const list = readUnsent(text);
  if (!list) return null;
  const found: Returned = { sent: 0, left: 0, timelines: [], why: "" };
  const stuck = new Set<string>();
  for (const { timeline, change } of list) {
    if (stuck.has(timeline)) {
      found.left++;
      continue;
    }
    const { id, base, ops } = change;
    const answer = await askServer("POST", `/api/timelines/${timeline}/changes`, { id, base, ops }, PATIENCE_MS);
    if (answer.ok) {
      found.sent++;
      if (!found.timelines.includes(timeline)) found.timelines.push(timeline);
    } else {
      stuck.add(timeline);
      found.left++;
      found.why = answer.sentence;
    }
  }
  return found;
}

function readUnsent(text: string): { timeline: string; change: Change }[] | null {
  try {
    const rows = JSON.parse(text) as { key?: string | null; at?: number; scope?: string; change?: Change | string }[];
    if (!Array.isArray(rows)) return null;
    return rows
      .map((r) => ({ ...r, change: typeof r.change === "string" ? (JSON.parse(r.change) as Change) : r.change }))
      .sort(asWritten)
      .map(({ scope, change }) => {
        const timeline = scope?.split("/")[1];
        if (!timeline || !/^[\w-]{1,40}$/.test(timeline) || !change || !Array.isArray(change.ops))
          throw new Error("shape");
        return { timeline, change };
      });
  } catch {
    return null;
  }
}

/** Throws away what an account has not sent; it was saved as a file before. */
export async function forgetUnsent(account: string): Promise<void> {
  for (const [scope, left] of leftInTab) if (isOf(account, scope)) left.handOver();
  const db = await openPending().catch(() => null);
  for (const key of (await db?.getAllKeys("pending")) ?? [])
    if (isOf(account, String(key))) await db?.delete("pending", key);
  db?.close();
}
