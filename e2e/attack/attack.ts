import { readFileSync } from "node:fs";
import postgres from "postgres";
import type { Browser } from "@playwright/test";
import type { TestServer } from "../harness/server";

export interface Target {
  server: TestServer;
  sql: postgres.Sql;
  browser: Browser;
  /** All of it, or what a test run has time for. */
  full: boolean;
}

export interface Attack {
  /** What is tried. */
  name: string;
  /** Throws when it succeeds; gives a figure for the table. */
  run(target: Target): Promise<string>;
}

/** Stops the attack as a success for the attacker. */
export function expectThat(held: boolean, otherwise: string): void {
  if (!held) throw new Error(otherwise);
}

/** Does tasks, so many at a time, in the order they come. */
export async function severalAtOnce(tasks: Iterable<() => Promise<void>>, atOnce: number): Promise<void> {
  const left = tasks[Symbol.iterator]();
  const one = async () => {
    for (let next = left.next(); !next.done; next = left.next()) await next.value();
  };
  await Promise.all(Array.from({ length: atOnce }, one));
}

export function connectTo(server: TestServer): postgres.Sql {
  return postgres(server.databaseUrl, { max: 2, onnotice: () => {} });
}

/** What a process holds in memory, MB. */
export function memoryMb(pid: number): number {
  const line = readFileSync(`/proc/${pid}/status`, "utf8").match(/VmRSS:\s+(\d+)/);
  return Math.round(Number(line?.[1] ?? 0) / 1_024);
}

/**
 * A wait that nobody else's work may cause, ms. Far above what is aimed at and what the table shows: these machines are shared,
 * and the attacks that are warded off here made others wait for very long, or for ever.
 */
export const LONGEST_WAIT_MS = 60_000;

export const seconds = (ms: number) => `${(ms / 1_000).toFixed(1)} s`;
