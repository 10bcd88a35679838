// Long because what is being edited, what is on its way and what can be undone change together, and nothing else may come between.
import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/editor-store";
import type { Change, ConfirmedChange, Op } from "@/core/change/change";
import { applyAndInvert, invert } from "@/core/change/invert";
import { tooLong } from "@/core/change/limits";
import { LIMIT_SENTENCES, tooLongText } from "@/core/words/limits";
import { amend, edit, type LastSet, receive, type Replica, startReplica, withdraw } from "@/core/change/replica";
import { tooMuch } from "@/core/change/too-much";
import { fromSnapshot, type Snapshot } from "@/core/formats/snapshot";
import { cleanValue } from "@/core/text/clean";
import type { Timeline } from "@/core/timeline/timeline";
import { CatchUp } from "./catch-up";
import { type DescriptionDoc, DescriptionDocs } from "./description-docs";
import { joinOps } from "./join-ops";
import { Keeping } from "./keeping";
import { Outbox } from "./outbox";
import type { EditorState, Surroundings } from "./editor-state";
import { browserPorts, type EditorPerson, type Ports, type Publication } from "./ports";
import { UndoHistory, type Way } from "./undo-history";

/** Without the stream others' changes are asked for this often, ms. */
const POLL_MS = 15_000;
/** How long keystrokes in one field are gathered into one change before it is sent, ms. */
const GATHER_MS = 350;
/** What is heard of while something of one's own is on its way is most often that itself: its answer is waited for so long, ms. */
const ANSWER_MS = 500;
/** Only a stream that stays away for so long is worth a word, ms. */
const QUIET_MS = 4_000;
/** A change of more steps is long. */
const MANY_STEPS = 300;
/** So long a browser is given to draw between two parts of what a long change takes, ms. */
const DRAWN_MS = 40;
/** A long change is sent when what came of it has been drawn, ms. */
const SEND_MS = 300;

/**
 * A timeline being edited: the replica, what is shown of it, and undo. Holds no React; components subscribe. Every edit is on the
 * disk of this device before it is sent, and stays there until the server has confirmed it.
 */
export class TimelineStore {
  readonly account: string;
  readonly timelineId: string;
  private readonly ports: Ports;
  private replica: Replica;
  private state: EditorState;
  private readonly listeners = new Set<() => void>();
  private readonly lastSet: LastSet = new Map();
  private readonly history = new UndoHistory();
  private readonly docs: DescriptionDocs;
  private readonly outbox: Outbox;
  private readonly catching: CatchUp;
  private readonly keeping: Keeping;
  /** The last pending change while keystrokes still join it. */
  private open: { id: string; group: string; before: Timeline; stop: () => void } | null = null;
  private stopPolling: (() => void) | null = null;
  /** The highest number that was heard of. */
  private heard = 0;
  private stopAwaiting: (() => void) | null = null;
  /** How often something about the timeline was answered beside the asking for what is new. */
  private told = 0;
  /** The last sentence about something that was done here. */
  private said: string | null = null;

  constructor(account: string, snapshot: Snapshot, around: Surroundings, ports?: Ports) {
    this.account = account;
    this.timelineId = snapshot.timeline.id;
    this.ports = ports ?? browserPorts(account, this.timelineId);
    this.replica = startReplica(fromSnapshot(snapshot), snapshot.seq);
    this.docs = new DescriptionDocs(
      this.history,
      (of, update) => this.record([{ kind: "describe", of, update }], `describe:${of}`, null),
      () => this.publish(),
    );
    this.keeping = new Keeping(`${account}/${this.timelineId}`, this.ports, (isKept) => {
      if (isKept === this.state.isKept) return;
      if (!isKept) this.set({ isKept, notice: WORDS.theDiskTakesNothing });
      // What was said is true no more.
      else this.set({ isKept, notice: this.state.notice === WORDS.theDiskTakesNothing ? null : this.state.notice });
    });
    this.outbox = new Outbox(this.ports, {
      next: () => {
        if (this.state.saving === "right_lost" || this.state.saving === "signed_out") return null;
        const next = this.replica.pending[0];
        return next && next.id !== this.open?.id ? next : null;
      },
      known: () => this.replica.seq,
      confirmed: async (change, answer) => {
        this.take(answer.changes);
        // Where something in between is missing here, the rest is asked for; and where others were at work, who they are.
        if (this.replica.seq < answer.seq) await this.catching.ask();
        else if (answer.changes.some((c) => c.author !== this.account)) void this.catching.ask();
        else this.isAnswered();
        if (answer.seq <= this.replica.seq) await this.known(change);
      },
      renamed: (change, to) => this.rename(change, to),
      refused: (change, sentence) => this.aside(change, sentence),
      says: (saving) => {
        if (saving !== "saving" || this.state.saving === "offline") this.set({ saving });
      },
    });
    this.catching = new CatchUp(this.ports, {
      known: () => this.replica.seq,
      waiting: () => this.replica.pending.length > 0,
      told: () => this.told,
      around: (now) => this.set({ ...now, publication: upTo(now.publication, this.replica.seq) }),
      take: (changes) => this.take(changes),
      takeWhole: (whole) => {
        this.replica = startReplica(fromSnapshot(whole), whole.seq);
        this.docs.renew(this.replica.current);
        this.publish();
      },
      reached: () => this.outbox.pump(this.state.saving === "offline"),
      ended: (saving) => this.set({ saving }),
    });
    this.state = {
      timeline: this.replica.current,
      saving: "saved",
      isKept: true,
      hearing: true,
      waiting: 0,
      canUndo: false,
      canRedo: false,
      overlaps: [],
      setAside: [],
      notice: null,
      ...around,
    };
  }

  /** Takes up what an earlier tab left, and begins to listen. Gives the way to end. */
  start(): () => void {
    this.history.takeUp(this.ports.kept.read());
    const keep = () => {
      this.seal();
      this.ports.kept.write(this.history.toText((of, way) => this.docs.stepsBack(of, way)));
    };
    const stopPage = this.ports.watchPage({ online: () => this.online(), hidden: keep });
    const stopLive = this.ports.listen((m) => {
      if (m.kind === "signed_out") this.set({ saving: "signed_out" });
      else if (m.kind === "hearing") this.setHearing(m.hearing);
      else if (m.kind === "catch_up") void this.catching.ask();
      else if (m.timeline === this.timelineId) {
        if (m.kind === "right_lost") this.set({ saving: "right_lost" });
        else if (m.kind === "work") void this.catching.ask();
        else if (m.kind === "changed") this.hear(m.seq);
      }
    });
    // What happened between the timeline's reading and now was heard by nobody here.
    this.catching.start();
    void this.takeUp();
    this.publish();
    return () => {
      keep();
      stopPage();
      stopLive();
      this.stopPolling?.();
      this.stopPolling = null;
      this.stopAwaiting?.();
      this.stopAwaiting = null;
      this.catching.stop();
      this.outbox.stop();
      // Whoever opens the timeline next, here or in another tab, takes up what is not sent.
      this.keeping.leave();
    };
  }

  /** Puts what an earlier tab left unsent on top, and finds what was set aside. */
  private async takeUp(): Promise<void> {
    try {
      const changes = await this.keeping.takeOver();
      for (const c of changes) {
        if (this.replica.pending.some((p) => p.id === c.id)) continue;
        this.replica = edit(this.replica, c);
        this.docs.feed(c.ops);
      }
      if (changes.length > 0) this.publish();
      this.outbox.pump();
      this.set({ setAside: await this.ports.pending.setAside() });
    } catch {
      this.set({
        notice: WORDS.thisBrowserDoesNotLet,
      });
    }
  }

  /** Whether it is kept in this browser alone, without an account. */
  get isLocal(): boolean {
    return this.timelineId === "local";
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  getState = (): EditorState => this.state;

  /** A change of that number is heard of. */
  private hear(seq: number): void {
    this.heard = Math.max(this.heard, seq);
    if (seq <= this.replica.seq) return;
    if (this.outbox.isSending) this.stopAwaiting ??= this.ports.after(ANSWER_MS, () => this.isAnswered());
    else void this.catching.ask();
  }

  /** Asks for what was heard of and has not come with an answer. */
  private isAnswered(): void {
    this.stopAwaiting?.();
    this.stopAwaiting = null;
    if (this.heard > this.replica.seq) void this.catching.ask();
  }

  private setHearing(hearing: boolean): void {
    if (hearing) {
      this.stopPolling?.();
      this.stopPolling = null;
      this.set({ hearing });
    } else if (!this.stopPolling) {
      const stopAsking = this.ports.every(POLL_MS, () => void this.catching.ask());
      // A moment without the stream is nothing to be told of.
      const stopWord = this.ports.after(QUIET_MS, () => this.set({ hearing }));
      this.stopPolling = () => {
        stopAsking();
        stopWord();
      };
    }
  }

  /** `later`: the state is there at once, and what shows it is told in a task of its own. */
  private set(part: Partial<EditorState>, later = false): void {
    this.state = { ...this.state, ...part };
    const tell = () => this.listeners.forEach((l) => void l());
    later ? this.ports.after(DRAWN_MS, tell) : tell();
  }

  private publish(later = false): void {
    const waiting = this.replica.pending.length;
    const { saving: now } = this.state;
    const ended = now === "right_lost" || now === "signed_out";
    const saving = ended ? now : waiting === 0 ? "saved" : now === "offline" ? "offline" : "saving";
    const [canUndo, canRedo] = [this.history.can("undo"), this.history.can("redo")];
    const publication = upTo(this.state.publication, this.replica.seq);
    this.set({ timeline: this.replica.current, waiting, saving, canUndo, canRedo, publication }, later);
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
    const done = applyAndInvert(this.replica.current, ops);
    const after = done.timeline;
    if (after === this.replica.current) return null;
    const over = tooMuch(this.replica.current, after, ops);
    if (over) {
      this.set({ notice: LIMIT_SENTENCES[over] });
      return LIMIT_SENTENCES[over];
    }
    this.record(ops, group, done);
    return null;
  }

  /** `done`: what comes of them and what undoes them; null for what is no step of undo, or knows its own. */
  private record(ops: Op[], group: string | null, done: { timeline: Timeline; inverse: Op[] } | null): void {
    // What does not come from a description's own document goes into it.
    if (done) this.docs.feed(ops);
    const last = this.replica.pending.at(-1);
    if (group && this.open && this.open.group === group && last?.id === this.open.id) {
      const joined: Change = { ...last, ops: joinOps(last.ops, ops) };
      this.replica = amend(this.replica, joined);
      if (done) this.history.didMore(invert(this.open.before, joined.ops));
      this.open.stop();
      this.open.stop = this.ports.after(GATHER_MS, () => this.seal());
      this.keeping.put(joined);
    } else {
      this.seal();
      const before = this.replica.current;
      const change: Change = { id: this.ports.newId(), author: this.account, base: this.replica.seq, ops };
      this.replica = edit(this.replica, change, done?.timeline);
      if (done) this.history.did(done.inverse);
      if (group) this.open = { id: change.id, group, before, stop: this.ports.after(GATHER_MS, () => this.seal()) };
      if (ops.length > MANY_STEPS) this.ports.after(0, () => this.keeping.put(change));
      else this.keeping.put(change);
      if (!group && ops.length <= MANY_STEPS) this.outbox.pump();
    }
    // Making a large change, showing it and sending it are tasks of their own, so that no frame waits for all of them.
    const large = !group && ops.length > MANY_STEPS;
    this.publish(large);
    if (large) this.ports.after(SEND_MS, () => this.outbox.pump());
  }

  private online(): void {
    this.outbox.pump(true);
    void this.catching.ask();
  }

  /** No more keystrokes join the last change: it may be sent. */
  private seal(): void {
    this.open?.stop();
    this.open = null;
    this.outbox.pump();
  }

  undo(): void {
    this.seal();
    this.step("undo");
  }

  redo(): void {
    this.seal();
    this.step("redo");
  }

  /** Whether the next step back (or forth) is one in a description whose own undo has gone with a tab before. */
  isLeftWords(of: string, way: Way): boolean {
    return this.history.isLeftWords(of, way);
  }

  private step(way: Way): void {
    const entry = this.history.last(way);
    if (!entry) return;
    // What was said of a deed is true no more.
    if (this.state.notice !== null && this.state.notice === this.said) this.dismissNotice();
    if (entry.kind === "words") {
      // The description's own undo leaves what others wrote; its events move the entry across.
      const { undo } = this.docOf(entry.of);
      if (!(way === "undo" ? undo.undo() : undo.redo())) this.history.drop(way);
      this.publish();
      return;
    }
    this.history.drop(way);
    const { skipped, inverse } = applyAndInvert(this.replica.current, entry.ops);
    this.history.crossed(way, inverse);
    if (skipped.some((s) => s.why === "changed_since")) this.set({ notice: WORDS.someoneElseHasChangedThis });
    if (entry.ops.length > skipped.length) {
      this.docs.feed(entry.ops);
      this.record(entry.ops, null, null);
    }
    this.publish();
  }

  dismissNotice(): void {
    this.set({ notice: null });
  }

  /** What the server has done for this person here is a step of undo too: `inverse` takes it back. */
  tookIn(inverse: Op[]): void {
    this.history.did(inverse);
    this.publish();
  }

  say(notice: string): void {
    this.said = notice;
    this.set({ notice });
  }

  dismissOverlap(key: string): void {
    this.set({ overlaps: this.state.overlaps.filter((o) => o.key !== key) });
  }

  /** Asks for the present state of the work, after submitting or taking back. */
  async refresh(): Promise<void> {
    await this.catching.ask();
  }

  /** Nothing can be edited from now on. */
  protected readOnly(): void {
    this.set({ saving: "right_lost" });
  }

  /** What the server has just answered: newer than whatever is being asked for. */
  setPublication(publication: Publication | null): void {
    this.told++;
    this.set({ publication: upTo(publication, this.replica.seq) });
  }

  /** As of {@link setPublication}. */
  setEditors(editors: readonly EditorPerson[]): void {
    this.told++;
    this.set({ editors });
  }

  nameOf(account: string): string {
    return account === this.account
      ? COMMON.you
      : (this.state.editors.find((e) => e.id === account)?.displayName ?? COMMON.someoneWhoLeft);
  }

  /** The living document of a description, and its undo. */
  docOf(of: string): DescriptionDoc {
    return this.docs.of(of, this.replica.current);
  }

  // ------------------------------------------------------------ traffic

  private take(changes: readonly ConfirmedChange[]): void {
    const before = this.replica;
    const { replica, overlaps, skipped } = receive(before, changes, this.lastSet);
    this.replica = replica;
    for (const c of changes) {
      if (c.seq > before.seq && c.seq <= replica.seq) this.docs.feed(c.ops);
      if (c.author === this.account) void this.keeping.remove(c.id);
    }
    const mine = overlaps.filter((o) => o.earlierAuthor === this.account || o.laterAuthor === this.account);
    if (mine.length > 0)
      this.set({ overlaps: [...this.state.overlaps.filter((o) => !mine.some((m) => m.key === o.key)), ...mine] });
    if (skipped.some((s) => s.why === "changed_since")) this.set({ notice: WORDS.someoneElseHasChangedThis });
    this.publish();
  }

  /** The server had a change before: what is here of it, taken up from a tab that closed without its answer, is done. */
  private async known(change: Change): Promise<void> {
    if (!this.replica.pending.some((p) => p.id === change.id)) return;
    this.replica = withdraw(this.replica, change.id);
    await this.keeping.remove(change.id);
    this.publish();
  }

  private async rename(change: Change, to: Change): Promise<void> {
    this.replica = { ...this.replica, pending: this.replica.pending.map((p) => (p.id === change.id ? to : p)) };
    await this.keeping.rename(change.id, to);
  }

  /** Puts a change aside that the server will not take: its author sees it, with its texts, and the later ones go on. */
  private async aside(change: Change, sentence: string): Promise<void> {
    await this.keeping.refuse(change, sentence);
    this.replica = withdraw(this.replica, change.id);
    const setAside = await this.ports.pending.setAside().catch(() => this.state.setAside);
    this.set({ notice: sentence, setAside });
    this.publish();
  }

  /** Its author has dealt with something that was set aside. */
  async forget(key: string): Promise<void> {
    await this.ports.pending.forget(key).catch(() => {});
    this.set({ setAside: this.state.setAside.filter((s) => s.key !== key) });
  }
}

/** What is published, with the changes it does not show: every one after its own that is known here. */
function upTo(publication: Publication | null, seq: number): Publication | null {
  if (!publication || seq - publication.seq <= publication.laterChanges) return publication;
  return { ...publication, laterChanges: seq - publication.seq };
}
