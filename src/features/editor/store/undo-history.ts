import type { Op } from "@/core/change/change";

/** One step that can be taken back: steps of a change, or what was written in a description, which knows its own undo. */
export type UndoEntry = { kind: "ops"; ops: Op[] } | { kind: "words"; of: string };
export type Way = "undo" | "redo";

const MOST_UNDO = 300;
/** So much is kept for a reload, characters. */
const MOST_KEPT = 1_500_000;

/** What can be taken back and done again, the latest last. */
export class UndoHistory {
  private readonly stacks: Record<Way, UndoEntry[]> = { undo: [], redo: [] };

  can(way: Way): boolean {
    return this.stacks[way].length > 0;
  }

  /** A new step: what was taken back before it can no longer be done again. */
  did(inverse: Op[]): void {
    this.stacks.undo.push({ kind: "ops", ops: inverse });
    this.stacks.redo = [];
    if (this.stacks.undo.length > MOST_UNDO) this.stacks.undo.shift();
  }

  /** More steps of the change that was made last. */
  didMore(inverse: Op[]): void {
    this.stacks.undo[this.stacks.undo.length - 1] = { kind: "ops", ops: inverse };
  }

  /** Words were written, or taken back, in a description; `fresh`: not by an undo of it. */
  wrote(of: string, way: Way, fresh: boolean): void {
    this.stacks[way].push({ kind: "words", of });
    if (way === "undo" && fresh) this.stacks.redo = [];
  }

  /** The description has taken one of its own steps off. */
  unwrote(of: string, way: Way): void {
    const at = this.stacks[way].findLastIndex((e) => e.kind === "words" && e.of === of);
    if (at >= 0) this.stacks[way].splice(at, 1);
  }

  /** Whether the step that comes next is one in a description, as a tab before this one left it. */
  isLeftWords(of: string, way: Way): boolean {
    const last = this.last(way);
    return last?.kind === "ops" && last.ops.length > 0 && last.ops.every((o) => o.kind === "describe" && o.of === of);
  }

  last(way: Way): UndoEntry | undefined {
    return this.stacks[way].at(-1);
  }

  drop(way: Way): void {
    this.stacks[way].pop();
  }

  /** What undoes an undo waits on the other side. */
  crossed(way: Way, inverse: Op[]): void {
    if (inverse.length > 0) this.stacks[way === "undo" ? "redo" : "undo"].push({ kind: "ops", ops: inverse });
  }

  /**
   * As text, for a tab that is loaded again: the latest steps, as many as fit. `wordsOf`: what takes the steps of a description back
   * (or does them again), the latest first, as updates of it: its own undo lives with its document and goes with it.
   */
  toText(wordsOf: (of: string, way: Way) => readonly string[]): string {
    let room = MOST_KEPT;
    const kept = (way: Way) => {
      const list: string[] = [];
      const words = new Map<string, string[]>();
      for (const e of [...this.stacks[way]].reverse()) {
        let ops: Op[];
        if (e.kind === "ops") ops = e.ops;
        else {
          const left = words.get(e.of) ?? [...wordsOf(e.of, way)];
          words.set(e.of, left);
          const update = left.shift();
          if (update === undefined) continue;
          ops = [{ kind: "describe", of: e.of, update }];
        }
        const text = JSON.stringify(ops);
        room -= text.length;
        if (room < 0) break;
        list.unshift(text);
      }
      return `[${list.join(",")}]`;
    };
    return `{"undo":${kept("undo")},"redo":${kept("redo")}}`;
  }

  /** Takes up what `toText` gave; what is no such text is passed over. */
  takeUp(text: string | null): void {
    if (!text) return;
    try {
      const { undo, redo } = JSON.parse(text) as Record<Way, Op[][]>;
      this.stacks.undo = undo.map((ops) => ({ kind: "ops", ops }));
      this.stacks.redo = redo.map((ops) => ({ kind: "ops", ops }));
    } catch {}
  }
}
