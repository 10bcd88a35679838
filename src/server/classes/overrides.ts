import "server-only";
import type { GivenResult } from "@/core/check/given-dates";
import { db } from "../db/pool";

export interface GivenOverride {
  result: GivenResult;
  reason: string;
}

/** What a teacher has said of given dates instead of what was worked out, by their number. */
export async function overridesOf(submission: string): Promise<Record<number, GivenOverride>> {
  const rows = await db()<
    (GivenOverride & { n: number })[]
  >`select n, result, reason from given_mark where submission_id = ${submission}`;
  return Object.fromEntries(rows.map(({ n, result, reason }) => [n, { result, reason }]));
}
