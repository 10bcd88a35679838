import "server-only";
import { createHash } from "node:crypto";
import { WORDS } from "@/core/words/peers";

/** What stands for the names of a group while it is marked without their being seen. */
export const blindName = (n: number): string => WORDS.work(n);

const keyOf = (group: string) => createHash("sha256").update(group).digest("hex");

/**
 * The numbers of the groups of an assignment that have handed in, from 1: the same on every page, whatever has come back already, in an
 * order that says nothing of who they are.
 */
export function blindNumbers(groups: readonly string[]): Map<string, number> {
  const sorted = [...groups].sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1));
  return new Map(sorted.map((g, i) => [g, i + 1]));
}
