import type { Snapshot } from "@/core/formats/snapshot";
import type { ConfirmedChange } from "@/core/change/change";
import type { CaughtUp, Ports } from "./ports";

/** What could not be asked for is asked for again after so long, then twice as long, up to the last, ms. */
const FIRST_RETRY_MS = 1_000;
const LAST_RETRY_MS = 30_000;
/** So many changes behind, the timeline as it stands is read instead of them. */
const MUCH = 200;

interface Holder {
  /** The number up to which everything is here. */
  known(): number;
  /** Whether anything of one's own is on its way: what others changed of the same is found in the changes only. */
  waiting(): boolean;
  /** How often something of what is around was said otherwise than by an answer of this. */
  told(): number;
  around(around: Omit<CaughtUp, "changes" | "seq">): void;
  take(changes: readonly ConfirmedChange[]): void;
  takeWhole(snapshot: Snapshot): void;
  /** The server has answered. */
  reached(): void;
  ended(why: "right_lost" | "signed_out"): void;
}

/** Asks for everything after what is known here, one request at a time, and again until it is had: nobody tells of it twice. */
export class CatchUp {
  private readonly ports: Ports;
  private readonly holder: Holder;
  private asking = false;
  private askAgain = false;
  private stopped = false;
  private stopRetry: (() => void) | null = null;
  private retryMs = FIRST_RETRY_MS;

  constructor(ports: Ports, holder: Holder) {
    this.ports = ports;
    this.holder = holder;
  }

  /** Asks from now on, also after a stop. */
  start(): void {
    this.stopped = false;
    void this.ask();
  }

  stop(): void {
    this.stopped = true;
    this.stopRetry?.();
  }

  async ask(): Promise<void> {
    if (this.asking) {
      this.askAgain = true;
      return;
    }
    this.asking = true;
    do {
      this.askAgain = false;
      await this.once();
    } while (this.askAgain);
    this.asking = false;
  }

  private async once(): Promise<void> {
    const { holder } = this;
    const told = holder.told();
    const answer = await this.ports.catchUp(holder.known());
    this.stopRetry?.();
    this.stopRetry = null;
    if (answer.ok) {
      this.retryMs = FIRST_RETRY_MS;
      const { changes, seq, ...around } = answer.value;
      // What was said meanwhile may be newer than what this was answered: it is asked for once more.
      if (holder.told() === told) holder.around(around);
      else this.askAgain = true;
      const known = holder.known();
      holder.take(changes);
      // An answer holds only so much: the rest is asked for, as long as something comes.
      if (holder.known() < seq && holder.known() > known) {
        if (seq - holder.known() > MUCH) await this.leap();
        this.askAgain = true;
      }
      holder.reached();
    } else if (answer.failed === "not_found") holder.ended("right_lost");
    else if (answer.failed === "sign_in_first") holder.ended("signed_out");
    else if (!this.stopped) {
      this.stopRetry = this.ports.after(this.retryMs, () => void this.ask());
      this.retryMs = Math.min(LAST_RETRY_MS, 2 * this.retryMs);
    }
  }

  /** Takes the timeline as it stands, where reading all that led to it would be long. */
  private async leap(): Promise<void> {
    if (this.holder.waiting()) return;
    const answer = await this.ports.readWhole();
    if (answer.ok && answer.value.seq > this.holder.known() && !this.holder.waiting())
      this.holder.takeWhole(answer.value);
  }
}
