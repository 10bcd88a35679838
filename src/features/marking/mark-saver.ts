import { WORDS } from "@/core/words/marking";
import { askServer } from "@/ui/ask-server";

export interface MarkValues {
  /** As typed. */
  points: string;
  comment: string;
  comments: Record<string, string>;
  /** For each criterion of the rubric the number of its level, or null. */
  levels: (number | null)[];
}

export type MarkState =
  | { kind: "saved" }
  | { kind: "nothing" }
  | { kind: "saving" }
  | { kind: "waiting"; sentence: string }
  | { kind: "refused"; sentence: string };

const SAVE_AFTER_MS = 500;
const FIRST_RETRY_MS = 1_000;
const LAST_RETRY_MS = 15_000;

/**
 * Saves the marks of one submission, one request at a time and the last typed last, and tries again while nobody answers. It
 * lives as long as something is unsaved, wherever the teacher goes on the page.
 */
export class MarkSaver {
  state: MarkState = { kind: "nothing" };
  /** What was typed last; null: nothing that is not saved. */
  unsaved: MarkValues | null = null;
  /** What was typed last, saved or not; null: nothing was typed on this page. */
  typed: MarkValues | null = null;
  /** The save that was seen when typing began; null: not known. */
  base: number | null = null;
  private readonly submission: string;
  private readonly total: number;
  private readonly listeners = new Set<() => void>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private sending: Promise<void> | null = null;
  private retryMs = FIRST_RETRY_MS;

  constructor(submission: string, total: number) {
    this.submission = submission;
    this.total = total;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  getState = (): MarkState => this.state;

  set(values: MarkValues): void {
    this.unsaved = values;
    this.typed = values;
    this.say({ kind: "saving" });
    this.later(SAVE_AFTER_MS);
  }

  /** Forgets what was typed: what is stored counts again. */
  forget(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    this.unsaved = null;
    this.typed = null;
    this.base = null;
    this.say({ kind: "nothing" });
  }

  /** Saves what is unsaved now; gives whether everything is saved. */
  async flush(): Promise<boolean> {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    for (;;) {
      await this.sending;
      const values = this.unsaved;
      if (!values) return true;
      await this.send();
      // Refused, or nobody answers; what was typed meanwhile is tried once more.
      if (this.unsaved === values) return false;
    }
  }

  private later(ms: number): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.timer = null;
      void this.flush();
    }, ms);
  }

  private send(): Promise<void> {
    this.sending ??= this.sendNow().finally(() => {
      this.sending = null;
    });
    return this.sending;
  }

  private async sendNow(): Promise<void> {
    const values = this.unsaved;
    if (!values) return;
    const text = values.points.trim().replace(",", ".");
    const points = text === "" ? null : Number(text);
    if (points !== null && !(points >= 0 && points <= this.total))
      return this.say({
        kind: "refused",
        sentence: WORDS.thePointsMustLieBetween(this.total),
      });
    const answer = await askServer<{ version: number }>("PUT", `/api/submissions/${this.submission}/mark`, {
      points,
      comment: values.comment,
      comments: Object.entries(values.comments).map(([event, words]) => ({ event, text: words })),
      levels: values.levels,
      ...(this.base === null ? {} : { base: this.base }),
    });
    if (answer.ok) {
      this.base = answer.value.version;
      this.retryMs = FIRST_RETRY_MS;
      // What was typed meanwhile goes next.
      if (this.unsaved !== values) return this.later(0);
      this.unsaved = null;
      return this.say({ kind: "saved" });
    }
    const again = answer.status === 0 || answer.status >= 500 || answer.status === 429 || answer.failed === "no_answer";
    this.say(
      again
        ? { kind: "waiting", sentence: WORDS.notSavedYetTheServer }
        : { kind: "refused", sentence: answer.sentence },
    );
    if (!again) return;
    this.later(this.retryMs);
    this.retryMs = Math.min(LAST_RETRY_MS, this.retryMs * 2);
  }

  private say(state: MarkState): void {
    this.state = state;
    for (const l of this.listeners) l();
  }
}

const savers = new Map<string, MarkSaver>();

/** The saver of a submission; the same one as long as the page is open, so that what is unsaved is found again. */
export function saverOf(submission: string, total: number): MarkSaver {
  let known = savers.get(submission);
  if (!known) {
    known = new MarkSaver(submission, total);
    savers.set(submission, known);
  }
  return known;
}

/** Saves everything typed on the page now; gives whether all of it is saved. */
export async function saveAll(): Promise<boolean> {
  const all = await Promise.all([...savers.values()].map((s) => s.flush()));
  return all.every(Boolean);
}

/** Whether anything typed on the page is not saved. */
export function anyUnsaved(): boolean {
  return [...savers.values()].some((s) => s.unsaved !== null);
}
