import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Change } from "@/core/change/change";
import { asWritten } from "@/ui/kept-here";

interface Stored {
  /** account/timeline/tab/number: a tab's changes in their order. */
  key: string;
  scope: string;
  tab: string;
  /** When it was begun, ms, never before another one of its tab; missing where an earlier version put it. */
  at?: number;
  /** As JSON where it has very many steps. */
  change: Change | string;
}

/** A change of more steps is kept as text. */
const MANY_STEPS = 300;

interface Schema extends DBSchema {
  pending: { key: string; value: Stored; indexes: { scope: string } };
  /** What the server refused for good, kept to be copied from. */
  refused: {
    key: string;
    value: { key: string; scope: string; sentence: string; change: Change };
    indexes: { scope: string };
  };
}

let opened: Promise<IDBPDatabase<Schema>> | null = null;

function open(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>("fastigo", 1, {
    upgrade(db) {
      db.createObjectStore("pending", { keyPath: "key" }).createIndex("scope", "scope");
      db.createObjectStore("refused", { keyPath: "key" }).createIndex("scope", "scope");
    },
  });
  return opened;
}

/** A change the server did not take, with its sentence; it is kept until its author has dealt with it. */
export interface SetAside {
  key: string;
  sentence: string;
  change: Change;
}

/**
 * The changes of one tab that the server has not confirmed yet, kept on this device by account and timeline. Tabs hold
 * a lock by their name; what a closed or crashed tab left behind is taken over by the next one to open.
 */
export class PendingDb {
  readonly scope: string;
  readonly tab: string;
  private number = 0;
  private latest = 0;
  private release: (() => void) | null = null;
  private readonly places = new Map<string, { key: string; at: number }>();

  constructor(account: string, timeline: string, tab: string) {
    this.scope = `${account}/${timeline}`;
    this.tab = tab;
  }

  /** Changes left by tabs that are gone, oldest first whichever tab made them; they belong to this tab from now on. */
  async takeOver(): Promise<Change[]> {
    const db = await open();
    if (navigator.locks)
      void navigator.locks.request(
        lockName(this.tab),
        () =>
          new Promise<void>((resolve) => {
            this.release = resolve;
          }),
      );
    const found = await db.getAllFromIndex("pending", "scope", this.scope);
    // Two forms of one change are there where a tab ended while another took it over: the later one counts.
    const taken = new Map<string, Change>();
    for (const s of found.sort(asWritten)) {
      // What this tab has put there itself, before it asked or before it left and came back, is its own as it is.
      if (s.tab === this.tab || (await isAlive(s.tab))) continue;
      const change = typeof s.change === "string" ? (JSON.parse(s.change) as Change) : s.change;
      const at = s.at ?? 0;
      try {
        await this.put(change, at);
        await db.delete("pending", s.key);
      } catch {
        // A disk that takes nothing more has it where it is.
        this.places.set(change.id, { key: s.key, at });
      }
      taken.set(change.id, change);
    }
    return [...taken.values()];
  }

  /** Leaves what is pending to whoever opens the timeline next, in this tab or another. */
  leave(): void {
    this.release?.();
    this.release = null;
  }

  /** What was set aside of this timeline, oldest first. */
  async setAside(): Promise<SetAside[]> {
    const found = await (await open()).getAllFromIndex("refused", "scope", this.scope);
    return found.map(({ key, sentence, change }) => ({ key, sentence, change }));
  }

  /** Forgets something that was set aside. */
  async forget(key: string): Promise<void> {
    await (await open()).delete("refused", key);
  }

  /** Stores a change, or what it has become. Resolves when it is on the disk. `begun`: when it was, ms; else now. */
  async put(change: Change, begun = Date.now()): Promise<void> {
    let place = this.places.get(change.id);
    if (!place) {
      // A clock that is set back puts nothing before what was there.
      this.latest = Math.max(this.latest, begun);
      place = { key: `${this.scope}/${this.tab}/${String(this.number++).padStart(9, "0")}`, at: this.latest };
      this.places.set(change.id, place);
    }
    const tx = (await open()).transaction("pending", "readwrite", { durability: "strict" });
    // Thousands of steps are copied much faster as text.
    const kept = change.ops.length > MANY_STEPS ? JSON.stringify(change) : change;
    await tx.store.put({ ...place, scope: this.scope, tab: this.tab, change: kept });
    await tx.done;
  }

  /** Gives a change another number, in its place among the others. */
  async rename(from: string, to: Change): Promise<void> {
    const place = this.places.get(from);
    this.places.delete(from);
    if (place) this.places.set(to.id, place);
    await this.put(to);
  }

  async remove(id: string): Promise<void> {
    const place = this.places.get(id);
    if (!place) return;
    this.places.delete(id);
    await (await open()).delete("pending", place.key);
  }

  async refuse(change: Change, sentence: string): Promise<void> {
    await (await open()).put("refused", { key: `${this.scope}/${change.id}`, scope: this.scope, sentence, change });
    await this.remove(change.id);
  }
}

const lockName = (tab: string) => `fastigo-tab-${tab}`;

async function isAlive(tab: string): Promise<boolean> {
  if (!navigator.locks) return false;
  return navigator.locks.request(lockName(tab), { ifAvailable: true }, (lock) => lock === null);
}
