import type { Change } from "@/core/change/change";
import type { LeftInTab } from "@/ui/kept-here";
import type { Ports } from "./ports";

/** What the disk would not take is put there again after so long, ms. */
const RETRY_MS = 5_000;

type Outside = Pick<Ports, "pending" | "left" | "after" | "holdPage">;

/**
 * Puts what waits for the server on this device's disk, and knows what is not there: being put there, or refused (a full disk, a
 * browser that keeps nothing). That is tried again until the disk or the server has it, also when the editor has been left for another
 * page of the application; until then the tab is not closed unasked.
 */
export class Keeping implements LeftInTab {
  private readonly scope: string;
  private readonly ports: Outside;
  private readonly told: (isKept: boolean) => void;
  /** What the disk does not have, each as it is now. */
  private readonly missing = new Map<string, Change>();
  private readonly writing = new Set<string>();
  private stopRetry: (() => void) | null = null;

  /** `scope`: the account and the timeline; `told`: hears that the disk takes nothing, and that it has everything again. */
  constructor(scope: string, ports: Outside, told: (isKept: boolean) => void) {
    this.scope = scope;
    this.ports = ports;
    this.told = told;
  }

  /** What waits from before, oldest first: what tabs that are gone left on the disk, and what this one had on none. */
  async takeOver(): Promise<Change[]> {
    const left = this.ports.left.get(this.scope)?.handOver() ?? [];
    for (const change of left) this.note(change);
    const onDisk = await this.ports.pending.takeOver().catch((error: unknown) => {
      if (left.length === 0) throw error;
      return [];
    });
    // After what is on the disk: an earlier form of one of them may lie there.
    for (const change of left) this.put(change);
    const now = new Map(left.map((c) => [c.id, c]));
    return [...onDisk.map((c) => now.get(c.id) ?? c), ...left.filter((l) => !onDisk.some((c) => c.id === l.id))];
  }

  /** A change, or what it has become. While it is being put there it may become more: that is put there together. */
  put(change: Change): void {
    this.note(change);
    if (!this.writing.has(change.id)) void this.write(change.id, (c) => this.ports.pending.put(c));
  }

  /** Gives a change another number, in its place. */
  rename(from: string, to: Change): Promise<void> {
    this.missing.delete(from);
    this.note(to);
    return this.write(to.id, (c) => this.ports.pending.rename(from, c));
  }

  /** The server has it. */
  async remove(id: string): Promise<void> {
    this.forget(id);
    await this.ports.pending.remove(id).catch(() => {});
  }

  /** Sets a change aside that the server will not take. */
  async refuse(change: Change, sentence: string): Promise<void> {
    await this.ports.pending.refuse(change, sentence).catch(() => {});
    this.forget(change.id);
  }

  /** The editor is left: what is on no disk waits in this tab for whoever opens the timeline next. */
  leave(): void {
    if (this.missing.size > 0) this.ports.left.set(this.scope, this);
    this.ports.pending.leave();
  }

  /** What is on no disk. */
  waiting(): readonly Change[] {
    return [...this.missing.values()];
  }

  /** The same; it is another editor's from now on, or has been thrown away. */
  handOver(): Change[] {
    const all = [...this.missing.values()];
    for (const { id } of all) this.forget(id);
    return all;
  }

  private note(change: Change): void {
    this.missing.set(change.id, change);
    this.ports.holdPage(this, true);
  }

  private async write(id: string, put: (change: Change) => Promise<void>): Promise<void> {
    this.writing.add(id);
    try {
      for (let change = this.missing.get(id); change; change = this.missing.get(id)) {
        await put(change);
        if (this.missing.get(id) === change) this.forget(id);
      }
    } catch {
      if (this.missing.has(id)) {
        this.told(false);
        this.stopRetry ??= this.ports.after(RETRY_MS, () => this.again());
      }
    }
    this.writing.delete(id);
  }

  private again(): void {
    this.stopRetry = null;
    for (const change of [...this.missing.values()]) this.put(change);
  }

  private forget(id: string): void {
    if (!this.missing.delete(id) || this.missing.size > 0) return;
    this.stopRetry?.();
    this.stopRetry = null;
    this.ports.holdPage(this, false);
    if (this.ports.left.get(this.scope) === this) this.ports.left.delete(this.scope);
    this.told(true);
  }
}
