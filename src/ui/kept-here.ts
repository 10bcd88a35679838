import { openDB } from "idb";
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

/** Whether something that waits here is of an account: others who use this device are not shown it, and it waits on for its author. */
const isOf = (account: string, scope: string) => scope.startsWith(`${account}/`);

/** What an account has not sent yet, by timeline. */
export async function findUnsent(account: string): Promise<{ by: Unsent[]; text: string }> {
  const db = await openPending().catch(() => null);
  if (!db) return { by: [], text: "" };
  const all = (await db.getAll("pending")) as { scope: string; change: unknown }[];
  db.close();
  const own = all.filter((a) => isOf(account, a.scope));
  const counts = new Map<string, number>();
  for (const { scope } of own) {
    const timeline = scope.slice(account.length + 1);
    counts.set(timeline, (counts.get(timeline) ?? 0) + 1);
  }
  return { by: [...counts].map(([timeline, changes]) => ({ timeline, changes })), text: JSON.stringify(own, null, 1) };
}

/**
 * Sends what an account has not sent yet, oldest first: each change has its number, so that one the server had before is done once.
 * Of a timeline whose change is not taken the rest stays.
 */
export async function sendUnsent(account: string): Promise<void> {
  const db = await openPending().catch(() => null);
  if (!db) return;
  const all = (await db.getAll("pending")) as { key: string; scope: string; change: Change | string }[];
  const stuck = new Set<string>();
  for (const { key, scope, change } of all.sort((a, b) => (a.key < b.key ? -1 : 1))) {
    if (!isOf(account, scope) || stuck.has(scope)) continue;
    const { id, base, ops } = typeof change === "string" ? (JSON.parse(change) as Change) : change;
    const path = `/api/timelines/${scope.slice(account.length + 1)}/changes`;
    const answer = await askServer("POST", path, { id, base, ops }, PATIENCE_MS);
    if (answer.ok) await db.delete("pending", key);
    else stuck.add(scope);
  }
  db.close();
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
    const rows = JSON.parse(text) as { key?: string; scope?: string; change?: Change | string }[];
    if (!Array.isArray(rows)) return null;
    return rows
      .map((r) => ({ ...r, change: typeof r.change === "string" ? (JSON.parse(r.change) as Change) : r.change }))
      .sort((a, b) => ((a.key ?? "") < (b.key ?? "") ? -1 : 1))
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
  const db = await openPending();
  for (const key of await db.getAllKeys("pending")) if (isOf(account, String(key))) await db.delete("pending", key);
  db.close();
}
