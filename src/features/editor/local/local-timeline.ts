import { type DBSchema, openDB } from "idb";
import { apply } from "@/core/change/apply";
import type { Change, ConfirmedChange } from "@/core/change/change";
import { fromSnapshot, type Snapshot, toSnapshot } from "@/core/formats/snapshot";
import { language } from "@/core/language/spoken";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";

/** Who writes where there is no account; and what the timeline is called. */
export const NOBODY = "nobody";
export const LOCAL = "local";
/** The last changes are kept, so that an editor can catch up with them. */
const MOST_LOG = 200;

interface Schema extends DBSchema {
  timeline: { key: string; value: string };
}

const open = () =>
  openDB<Schema>("fastigo-without-account", 1, { upgrade: (db) => void db.createObjectStore("timeline") });

/**
 * A timeline that is kept in this browser and nowhere else: it takes changes as the server does, in order, each once, and is
 * written to the disk before a change counts as taken.
 */
export class LocalTimeline {
  private timeline: Timeline;
  private seq: number;
  private readonly log: ConfirmedChange[] = [];
  /** Changes are taken one after the other. */
  private turn: Promise<unknown> = Promise.resolve();

  private constructor(snapshot: Snapshot | null) {
    this.timeline = snapshot ? fromSnapshot(snapshot) : { ...emptyTimeline(LOCAL), language: language() };
    this.seq = snapshot?.seq ?? 0;
  }

  /** What is kept here; an empty timeline where nothing is, or what is kept cannot be read. */
  static async open(): Promise<LocalTimeline> {
    const text = await (await open()).get("timeline", LOCAL);
    try {
      return new LocalTimeline(text ? (JSON.parse(text) as Snapshot) : null);
    } catch {
      return new LocalTimeline(null);
    }
  }

  snapshot(): Snapshot {
    return toSnapshot(this.timeline, this.seq);
  }

  /** Whether anything was written in it. */
  get isEmpty(): boolean {
    const { title, introduction, closing, events } = this.timeline;
    return title === "" && introduction.length + closing.length === 0 && [...events.values()].every((e) => e.deleted);
  }

  /** Throws where the disk does not take it: then it is not taken, and may come again. */
  take(change: Change): Promise<{ seq: number; changes: ConfirmedChange[] }> {
    const done = this.turn.then(() => this.takeNext(change));
    this.turn = done.catch(() => {});
    return done;
  }

  private async takeNext(change: Change): Promise<{ seq: number; changes: ConfirmedChange[] }> {
    const known = this.log.find((c) => c.id === change.id);
    if (known) return { seq: known.seq, changes: this.after(change.base) };
    const timeline = apply(this.timeline, change.ops).timeline;
    const seq = this.seq + 1;
    await (await open()).put("timeline", JSON.stringify(toSnapshot(timeline, seq)), LOCAL);
    this.timeline = timeline;
    this.seq = seq;
    this.log.push({ ...change, seq, at: "" });
    if (this.log.length > MOST_LOG) this.log.shift();
    return { seq, changes: this.after(change.base) };
  }

  after(seq: number): ConfirmedChange[] {
    return this.log.filter((c) => c.seq > seq);
  }

  get last(): number {
    return this.seq;
  }

  /** Removes it from this browser. */
  static async clear(): Promise<void> {
    await (await open()).delete("timeline", LOCAL);
  }
}
