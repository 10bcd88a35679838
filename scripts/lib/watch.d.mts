import type { ChildProcess } from "node:child_process";

export function watch(options: {
  begin: () => [string, string[], object];
  address: string;
  onLast: (sentence: string) => void;
  lookMs?: number;
  patienceMs?: number;
  firstPauseMs?: number;
}): { readonly child: ChildProcess | null; stop(signal: NodeJS.Signals, then: () => void): void };
