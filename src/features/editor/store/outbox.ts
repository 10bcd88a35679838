import type { Change, ConfirmedChange } from "@/core/change/change";
import type { Answer } from "@/ui/ask-server";
import type { Ports } from "./ports";

const FIRST_RETRY_MS = 500;
const LAST_RETRY_MS = 8_000;
/** After so long without an answer a change is sent again. */
const PATIENCE_MS = 8_000;
/** So often a change may fail at the server before it is set aside. */
const MOST_FAILURES = 5;

/** What an outbox asks of, and tells, the editor it sends for. */
export interface Sender {
  /** The oldest change that may be sent; null: none, or none may be sent now. */
  next(): Change | null;
  /** The number up to which everything is here. */
  known(): number;
  confirmed(change: Change, answer: { seq: number; changes: ConfirmedChange[] }): Promise<void>;
  /** The change goes under another number from now on. */
  renamed(change: Change, to: Change): Promise<void>;
  /** The server will not take it. */
  refused(change: Change, sentence: string): Promise<void>;
  /** How the traffic stands. */
  says(state: "signed_out" | "right_lost" | "offline" | "saving"): void;
}

/** Sends the oldest change, then the next, one at a time, until none is left; tries again while nobody answers. */
export class Outbox {
  private readonly ports: Pick<Ports, "send" | "after" | "newId">;
  private readonly sender: Sender;
  private sending = false;
  /** How often in a row the change under way has failed at the server. */
  private failures = 0;
  private retryMs = FIRST_RETRY_MS;
  private stopRetry: (() => void) | null = null;

  constructor(ports: Pick<Ports, "send" | "after" | "newId">, sender: Sender) {
    this.ports = ports;
    this.sender = sender;
  }

  /** Whether an answer is waited for. */
  get isSending(): boolean {
    return this.sending;
  }

  /** Sends what there is; `now`: without waiting for the next try. */
  pump(now = false): void {
    if (now) this.stop();
    if (this.sending || this.stopRetry) return;
    const next = this.sender.next();
    if (!next) return;
    this.sending = true;
    void this.send(next).finally(() => {
      this.sending = false;
      this.pump();
    });
  }

  /** Waits for no next try. */
  stop(): void {
    this.stopRetry?.();
    this.stopRetry = null;
  }

  private async send(change: Change): Promise<void> {
    const { author: _, ...body } = change;
    const answer = await this.ports.send(
      { ...body, known: this.sender.known() },
      // Asked again it gets its first answer, so there is no harm in not waiting.
      PATIENCE_MS + 10 * change.ops.length,
    );
    if (answer.ok) {
      this.retryMs = FIRST_RETRY_MS;
      this.failures = 0;
      this.sender.says("saving");
      return this.sender.confirmed(change, answer.value);
    }
    return this.failed(change, answer);
  }

  private async failed(change: Change, answer: Extract<Answer<unknown>, { ok: false }>): Promise<void> {
    if (answer.failed === "sign_in_first") return this.sender.says("signed_out");
    if (answer.failed === "not_found") return this.sender.says("right_lost");
    // Another tab of this account has sent a shorter form of it: the whole goes under a number of its own.
    if (answer.failed === "change_taken") return this.sender.renamed(change, { ...change, id: this.ports.newId() });
    // Only what Fastigo's own server says counts: a page of something in between (a proxy, a school's filter) refuses nothing.
    const said = answer.failed !== "no_answer";
    const refused = said && answer.status >= 400 && answer.status < 500 && answer.status !== 429;
    // What fails again and again while others get through is not waited for.
    const hopeless = said && answer.failed === "broken" && ++this.failures >= MOST_FAILURES;
    if (refused || hopeless) {
      this.failures = 0;
      return this.sender.refused(change, answer.sentence);
    }
    if (answer.failed !== "broken") this.failures = 0;
    this.sender.says("offline");
    this.stopRetry = this.ports.after(this.retryMs, () => {
      this.stopRetry = null;
      this.pump();
    });
    this.retryMs = Math.min(LAST_RETRY_MS, this.retryMs * 2);
  }
}
