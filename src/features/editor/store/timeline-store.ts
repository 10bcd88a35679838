import { nanoid } from "nanoid";
import * as Y from "yjs";
import { ySyncPluginKey } from "@tiptap/y-tiptap";
import { apply } from "@/core/change/apply";
import type { OwnWork } from "@/core/check/own-work";
import type { Change, ConfirmedChange, Op } from "@/core/change/change";
import { invert } from "@/core/change/invert";
import { MOST, tooLong, tooLongText } from "@/core/change/limits";
import { tooMuch } from "@/core/change/too-much";
import {
  amend,
  edit,
  type LastSet,
  type Overlap,
  receive,
  type Replica,
  startReplica,
  withdraw,
} from "@/core/change/replica";
import { fromSnapshot, type Snapshot } from "@/core/formats/snapshot";
import { fromBase64, toBase64 } from "@/core/text/base64";
import { cleanValue } from "@/core/text/clean";
import { FRAGMENT } from "@/core/text/description";
import type { Timeline } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { listenLive } from "@/ui/live";
import { PendingDb, type SetAside } from "./pending-db";

export interface EditorPerson {
  id: string;
  displayName: string;
  role: "owner" | "editor";
}
export interface Publication {
  address: string;
  visibility: "only_me" | "class" | "link" | "everybody";
  /** The class it is given to, or was made in. */
  classId: string | null;
  takenBack: boolean;
  publishedAt: string;
  /** The time zone of its author when it was published. */
  zone: string;
  laterChanges: number;
}

/** Without the stream others' changes are asked for this often, ms. */
const POLL_MS = 15_000;

export type Saving = "saved" | "saving" | "offline" | "signed_out" | "right_lost";

export interface EditorState {
  timeline: Timeline;
  saving: Saving;
  /** Whether what others do is heard of at once; else it is asked for now and then. */
  hearing: boolean;
  /** How many changes the server has not confirmed. */
  waiting: number;
  canUndo: boolean;
  canRedo: boolean;
  overlaps: readonly Overlap[];
  /** Changes the server would not take, kept on this device with their texts. */
  setAside: readonly SetAside[];
  /** A sentence for the person, such as what an undo left alone; null when there is none. */
  notice: string | null;
  editors: readonly EditorPerson[];
  publication: Publication | null;
  /** Null for a timeline of no assignment. */
  work: OwnWork | null;
}

type UndoEntry = { kind: "ops"; ops: Op[] } | { kind: "words"; of: string };

/** How long keystrokes in one field are gathered into one change before it is sent, ms. */
const GATHER_MS = 350;
const FIRST_RETRY_MS = 500;
const LAST_RETRY_MS = 8_000;
const CATCH_UP_MS = 20_000;
/** After so long without an answer a change is sent again. */
const PATIENCE_MS = 8_000;
const MOST_UNDO = 300;
/** So often a change may fail at the server before it is set aside. */
const MOST_FAILURES = 5;
/** Only a stream that stays away for so long is worth a word, ms. */
const QUIET_MS = 4_000;

/**
 * A timeline being edited: the replica, its traffic with the server, and undo. Holds no React; components subscribe.
 * Every edit is on the disk of this device before it is sent, and stays there until the server has confirmed it.
 */
export class TimelineStore {
  readonly account: string;
  readonly timelineId: string;
  private replica: Replica;
  private state: EditorState;
  private listeners = new Set<() => void>();
  private pendingDb: PendingDb;
  private lastSet: LastSet = new Map();
  private undoStack: UndoEntry[] = [];
  private redoStack: UndoEntry[] = [];
  /** The last pending change while keystrokes still join it. */
  private open: { id: string; group: string; before: Timeline; timer: ReturnType<typeof setTimeout> } | null = null;
  private sending = false;
  /** How often in a row the change under way has failed at the server. */
  private failures = 0;
  private retryMs = FIRST_RETRY_MS;
  private retryTimer: ReturnType<typeof setTimeout> | null = null;
  private docs = new Map<string, { doc: Y.Doc; undo: Y.UndoManager }>();
  private fetching = false;
  private fetchAgain = false;
  private stopLive: (() => void) | null = null;
  private polling: ReturnType<typeof setInterval> | null = null;
  private hearingTimer: ReturnType<typeof setTimeout> | null = null;

  constructor(
    account: string,
    snapshot: Snapshot,
    editors: readonly EditorPerson[],
    publication: Publication | null,
    work: OwnWork | null = null,
  ) {
    this.account = account;
    this.timelineId = snapshot.timeline.id;
    this.replica = startReplica(fromSnapshot(snapshot), snapshot.seq);
    this.pendingDb = new PendingDb(account, this.timelineId, nanoid(8));
    this.state = {
      timeline: this.replica.current,
      saving: "saved",
      hearing: true,
      waiting: 0,
      canUndo: false,
      canRedo: false,
      overlaps: [],
      setAside: [],
      notice: null,
      editors,
      publication,
      work,
    };
  }

  /** Takes up what an earlier tab left, and begins to listen. Gives the way to end. */
  start(): () => void {
    const online = () => this.pump(true);
    const hidden = () => this.seal();
    window.addEventListener("online", online);
    window.addEventListener("pagehide", hidden);
    this.stopLive = listenLive((m) => {
      if (m.kind === "signed_out") this.set({ saving: "signed_out" });
      else if (m.kind === "hearing") this.setHearing(m.hearing);
      else if (m.kind === "catch_up") void this.catchUp();
      else if (m.timeline === this.timelineId) {
        if (m.kind === "right_lost") this.set({ saving: "right_lost" });
        else if (m.kind === "work") void this.catchUp();
        else if (m.seq > this.replica.seq) void this.catchUp();
      }
    });
    // What happened between the timeline's reading and now was heard by nobody here.
    void this.catchUp();
    void this.pendingDb
      .takeOver()
      .then((changes) => {
        for (const c of changes) {
          this.replica = edit(this.replica, c);
          this.feedDocs(c.ops);
        }
        if (changes.length > 0) this.publish();
        this.pump();
        return this.pendingDb.setAside().then((setAside) => this.set({ setAside }));
      })
      .catch(() =>
        this.set({
          notice:
            "This browser does not let Fastigo keep unsaved work on the device. Everything is still sent at once; do not close the page while it says Saving.",
        }),
      );
    return () => {
      this.seal();
      window.removeEventListener("online", online);
      window.removeEventListener("pagehide", hidden);
      this.stopLive?.();
      this.stopPolling();
      if (this.retryTimer) clearTimeout(this.retryTimer);
      this.retryTimer = null;
      // Whoever opens the timeline next, here or in another tab, takes up what is not sent.
      this.pendingDb.leave();
    };
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  getState = (): EditorState => this.state;

  private setHearing(hearing: boolean): void {
    if (hearing) {
      this.stopPolling();
      this.set({ hearing });
    } else if (!this.polling) {
      this.polling = setInterval(() => void this.catchUp(), POLL_MS);
      // A moment without the stream is nothing to be told of.
      this.hearingTimer = setTimeout(() => this.set({ hearing }), QUIET_MS);
    }
  }

  private stopPolling(): void {
    if (this.polling) clearInterval(this.polling);
    this.polling = null;
    if (this.hearingTimer) clearTimeout(this.hearingTimer);
  }

  private set(part: Partial<EditorState>): void {
    this.state = { ...this.state, ...part };
    for (const l of this.listeners) l();
  }

  private publish(): void {
    const waiting = this.replica.pending.length;
    const { saving } = this.state;
    this.set({
      timeline: this.replica.current,
      waiting,
      saving:
        saving === "right_lost" || saving === "signed_out"
          ? saving
          : waiting === 0
            ? "saved"
            : saving === "offline"
              ? "offline"
              : "saving",
      canUndo: this.undoStack.length > 0,
      canRedo: this.redoStack.length > 0,
    });
  }

  /**
   * Makes an edit. Edits of one `group` that follow each other closely become one change and one undo. Gives a sentence
   * when a text does not fit; nothing is changed then.
   */
  edit(given: Op[], group: string | null = null): string | null {
    if (given.length === 0) return null;
    // What nobody can see, and no database store, is taken out as one types or pastes.
    const ops = cleanValue(given);
    const long = tooLong(ops);
    if (long) return tooLongText(long);
    // What alters nothing is no change, and nothing to undo.
    const after = apply(this.replica.current, ops).timeline;
    if (after === this.replica.current) return null;
    const over = tooMuch(this.replica.current, after, ops);
    if (over) {
      this.set({ notice: MOST[over].sentence });
      return MOST[over].sentence;
    }
    this.record(ops, group, true);
    return null;
  }

  private record(ops: Op[], group: string | null, undoable: boolean): void {
    const last = this.replica.pending.at(-1);
    if (group && this.open && this.open.group === group && last?.id === this.open.id) {
      const joined: Change = { ...last, ops: joinOps(last.ops, ops) };
      this.replica = amend(this.replica, joined);
      if (undoable && ops[0]!.kind !== "describe")
        this.undoStack[this.undoStack.length - 1] = { kind: "ops", ops: invert(this.open.before, joined.ops) };
      clearTimeout(this.open.timer);
      this.open.timer = setTimeout(() => this.seal(), GATHER_MS);
      this.keep(joined);
    } else {
      this.seal();
      const before = this.replica.current;
      const change: Change = { id: nanoid(), author: this.account, base: this.replica.seq, ops };
      this.replica = edit(this.replica, change);
      if (undoable && ops[0]!.kind !== "describe") {
        this.undoStack.push({ kind: "ops", ops: invert(before, ops) });
        this.redoStack = [];
        if (this.undoStack.length > MOST_UNDO) this.undoStack.shift();
      }
      if (group) this.open = { id: change.id, group, before, timer: setTimeout(() => this.seal(), GATHER_MS) };
      this.keep(change);
      if (!group) this.pump();
    }
    this.publish();
  }

  private keep(change: Change): void {
    this.pendingDb.put(change).catch(() => {});
  }

  /** No more keystrokes join the last change: it may be sent. */
  private seal(): void {
    if (this.open) clearTimeout(this.open.timer);
    this.open = null;
    this.pump();
  }

  undo(): void {
    this.seal();
    this.step(this.undoStack, this.redoStack, "undo");
  }

  redo(): void {
    this.seal();
    this.step(this.redoStack, this.undoStack, "redo");
  }

  private step(from: UndoEntry[], to: UndoEntry[], way: "undo" | "redo"): void {
    const entry = from.pop();
    if (!entry) return;
    if (entry.kind === "words") {
      // The description's own undo leaves what others wrote. Its event below moves the entry across.
      from.push(entry);
      const { undo } = this.docOf(entry.of);
      if (!(way === "undo" ? undo.undo() : undo.redo())) from.pop();
      this.publish();
      return;
    }
    const before = this.replica.current;
    const { skipped } = apply(before, entry.ops);
    const inverse = invert(
      before,
      entry.ops.filter((op) => !skipped.some((s) => s.op === op)),
    );
    if (inverse.length > 0) to.push({ kind: "ops", ops: inverse });
    const left = skipped.filter((s) => s.why === "changed_since").length;
    if (left > 0) this.set({ notice: "Someone else has changed this since, so theirs was left as it is." });
    if (entry.ops.length > skipped.length) this.record(entry.ops, null, false);
    this.publish();
  }

  dismissNotice(): void {
    this.set({ notice: null });
  }

  say(notice: string): void {
    this.set({ notice });
  }

  dismissOverlap(key: string): void {
    this.set({ overlaps: this.state.overlaps.filter((o) => o.key !== key) });
  }

  /** Asks for the present state of the work, after submitting or taking back. */
  async refresh(): Promise<void> {
    await this.catchUp();
  }

  setPublication(publication: Publication | null): void {
    this.set({ publication });
  }

  setEditors(editors: readonly EditorPerson[]): void {
    this.set({ editors });
  }

  nameOf(account: string): string {
    return account === this.account
      ? "you"
      : (this.state.editors.find((e) => e.id === account)?.displayName ?? "someone who has left");
  }

  // ------------------------------------------------------------ descriptions

  /** The living document of a description, and its undo. Kept for as long as the editor is open. */
  docOf(of: string): { doc: Y.Doc; undo: Y.UndoManager } {
    const known = this.docs.get(of);
    if (known) return known;
    const doc = new Y.Doc();
    const t = this.replica.current;
    const state = of === "introduction" ? t.introduction : t.events.get(of)?.description;
    if (state && state.length > 0) Y.applyUpdate(doc, state, this);
    const undo = new Y.UndoManager(doc.getXmlFragment(FRAGMENT), { trackedOrigins: new Set([ySyncPluginKey]) });
    undo.on("stack-item-added", ({ type, origin }: { type: "undo" | "redo"; origin: unknown }) => {
      if (type === "undo") {
        this.undoStack.push({ kind: "words", of });
        if (origin !== undo) this.redoStack = [];
      } else this.redoStack.push({ kind: "words", of });
      this.publish();
    });
    undo.on("stack-item-popped", ({ type }: { type: "undo" | "redo" }) => {
      const stack = type === "undo" ? this.undoStack : this.redoStack;
      const at = stack.findLastIndex((e) => e.kind === "words" && e.of === of);
      if (at >= 0) stack.splice(at, 1);
      this.publish();
    });
    doc.on("update", (update: Uint8Array, origin: unknown) => {
      if (origin !== this) this.record([{ kind: "describe", of, update: toBase64(update) }], `describe:${of}`, false);
    });
    const made = { doc, undo };
    this.docs.set(of, made);
    return made;
  }

  private feedDocs(ops: readonly Op[]): void {
    for (const op of ops) {
      if (op.kind !== "describe") continue;
      const open = this.docs.get(op.of);
      if (open) Y.applyUpdate(open.doc, fromBase64(op.update), this);
    }
  }

  // ------------------------------------------------------------ traffic

  private take(changes: readonly ConfirmedChange[]): void {
    const before = this.replica;
    const { replica, overlaps, skipped } = receive(before, changes, this.lastSet);
    this.replica = replica;
    for (const c of changes) {
      if (c.seq > before.seq && c.seq <= replica.seq) this.feedDocs(c.ops);
      if (c.author === this.account) void this.pendingDb.remove(c.id).catch(() => {});
    }
    const mine = overlaps.filter((o) => o.earlierAuthor === this.account || o.laterAuthor === this.account);
    if (mine.length > 0)
      this.set({ overlaps: [...this.state.overlaps.filter((o) => !mine.some((m) => m.key === o.key)), ...mine] });
    if (skipped.some((s) => s.why === "changed_since"))
      this.set({ notice: "Someone else has changed this since, so theirs was left as it is." });
    this.publish();
  }

  /** Sends the oldest pending change, then the next, until none is left. */
  private pump(now = false): void {
    if (now && this.retryTimer) {
      clearTimeout(this.retryTimer);
      this.retryTimer = null;
    }
    if (this.sending || this.retryTimer || this.state.saving === "right_lost" || this.state.saving === "signed_out")
      return;
    const next = this.replica.pending[0];
    if (!next || next.id === this.open?.id) return;
    this.sending = true;
    void this.send(next).finally(() => {
      this.sending = false;
      this.pump();
    });
  }

  private async send(change: Change): Promise<void> {
    const { author: _, ...body } = change;
    const answer = await askServer<{ seq: number; changes: ConfirmedChange[] }>(
      "POST",
      `/api/timelines/${this.timelineId}/changes`,
      { ...body, known: this.replica.seq },
      // Asked again it gets its first answer, so there is no harm in not waiting.
      PATIENCE_MS + 10 * change.ops.length,
    );
    if (answer.ok) {
      this.retryMs = FIRST_RETRY_MS;
      this.failures = 0;
      if (this.state.saving === "offline") this.set({ saving: "saving" });
      this.take(answer.value.changes);
      // Where something in between is missing here, the rest is asked for.
      if (this.replica.seq < answer.value.seq) await this.catchUp();
      return;
    }
    if (answer.failed === "sign_in_first") return this.set({ saving: "signed_out" });
    if (answer.failed === "not_found") return this.set({ saving: "right_lost" });
    if (answer.failed === "change_taken") {
      // Another tab of this account has sent a shorter form of it: the whole goes under a number of its own.
      const renamed = { ...change, id: nanoid() };
      this.replica = { ...this.replica, pending: this.replica.pending.map((p) => (p.id === change.id ? renamed : p)) };
      await this.pendingDb.put(renamed).catch(() => {});
      await this.pendingDb.remove(change.id).catch(() => {});
      return;
    }
    // Only what Fastigo's own server says counts: a page of something in between (a proxy, a school's filter) refuses nothing.
    const said = answer.failed !== "no_answer";
    const refused = said && answer.status >= 400 && answer.status < 500 && answer.status !== 429;
    // What fails again and again while others get through is not waited for.
    const hopeless = said && answer.failed === "broken" && ++this.failures >= MOST_FAILURES;
    if (refused || hopeless) {
      this.failures = 0;
      await this.aside(change, answer.sentence);
      return;
    }
    if (answer.failed !== "broken") this.failures = 0;
    this.set({ saving: "offline" });
    this.retryTimer = setTimeout(() => {
      this.retryTimer = null;
      this.pump();
    }, this.retryMs);
    this.retryMs = Math.min(LAST_RETRY_MS, this.retryMs * 2);
  }

  /** Puts a change aside that the server will not take: its author sees it, with its texts, and the later ones go on. */
  private async aside(change: Change, sentence: string): Promise<void> {
    await this.pendingDb.refuse(change, sentence).catch(() => {});
    this.replica = withdraw(this.replica, change.id);
    const setAside = await this.pendingDb.setAside().catch(() => this.state.setAside);
    this.set({ notice: sentence, setAside });
    this.publish();
  }

  /** Its author has dealt with something that was set aside. */
  async forget(key: string): Promise<void> {
    await this.pendingDb.forget(key).catch(() => {});
    this.set({ setAside: this.state.setAside.filter((s) => s.key !== key) });
  }

  /** Asks for everything after what is known here. */
  private async catchUp(): Promise<void> {
    if (this.fetching) {
      this.fetchAgain = true;
      return;
    }
    this.fetching = true;
    do {
      this.fetchAgain = false;
      const answer = await askServer<{
        changes: ConfirmedChange[];
        seq: number;
        editors: EditorPerson[];
        publication: Publication | null;
        work: OwnWork | null;
      }>("GET", `/api/timelines/${this.timelineId}/changes?after=${this.replica.seq}`, undefined, CATCH_UP_MS);
      if (answer.ok) {
        this.set({ editors: answer.value.editors, publication: answer.value.publication, work: answer.value.work });
        const known = this.replica.seq;
        this.take(answer.value.changes);
        // An answer holds only so much: the rest is asked for, as long as something comes.
        if (this.replica.seq < answer.value.seq && this.replica.seq > known) this.fetchAgain = true;
        this.pump(this.state.saving === "offline");
      } else if (answer.failed === "not_found") this.set({ saving: "right_lost" });
      else if (answer.failed === "sign_in_first") this.set({ saving: "signed_out" });
    } while (this.fetchAgain);
    this.fetching = false;
  }
}

/** Steps of one group as one: a later value of a field replaces the earlier, updates of a description are merged. */
function joinOps(before: readonly Op[], after: readonly Op[]): Op[] {
  const ops = [...before];
  for (const op of after) {
    const at = ops.findIndex((o) => sameTarget(o, op));
    if (at < 0) ops.push(op);
    else if (op.kind === "describe") {
      const old = ops[at] as Extract<Op, { kind: "describe" }>;
      ops[at] = { ...op, update: toBase64(Y.mergeUpdates([fromBase64(old.update), fromBase64(op.update)])) };
    } else ops[at] = op;
  }
  return ops;
}

function sameTarget(a: Op, b: Op): boolean {
  if (a.kind !== b.kind) return false;
  if (a.kind === "describe" && b.kind === "describe") return a.of === b.of;
  if ("field" in a && "field" in b) return a.field === b.field && ("id" in a ? a.id : "") === ("id" in b ? b.id : "");
  return false;
}
