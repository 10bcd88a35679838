import { openDB } from "idb";
import type { Change } from "@/core/change/change";
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
  const worker = (await navigator.serviceWorker.ready).active ?? registered.active;
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
    worker.postMessage({ keep });
  });
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

/** What has not been sent yet, by timeline. */
export async function findUnsent(): Promise<{ by: Unsent[]; text: string }> {
  const db = await openPending().catch(() => null);
  if (!db) return { by: [], text: "" };
  const all = (await db.getAll("pending")) as { scope: string; change: unknown }[];
  db.close();
  const counts = new Map<string, number>();
  for (const { scope } of all) {
    const timeline = scope.split("/")[1] ?? "";
    if (timeline !== "local") counts.set(timeline, (counts.get(timeline) ?? 0) + 1);
  }
  const own = all.filter((a) => !a.scope.endsWith("/local"));
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
    if (!scope.startsWith(`${account}/`) || stuck.has(scope)) continue;
    const { id, base, ops } = typeof change === "string" ? (JSON.parse(change) as Change) : change;
    const path = `/api/timelines/${scope.slice(account.length + 1)}/changes`;
    const answer = await askServer("POST", path, { id, base, ops }, PATIENCE_MS);
    if (answer.ok) await db.delete("pending", key);
    else stuck.add(scope);
  }
  db.close();
}

/** Throws away what has not been sent; it was saved as a file before. */
export async function forgetUnsent(): Promise<void> {
  const db = await openPending();
  for (const key of await db.getAllKeys("pending"))
    if (!String(key).includes("/local/")) await db.delete("pending", key);
  db.close();
}
