import "server-only";
import type { OutsideRule } from "@/core/outside/players";
import { db } from "../db/pool";

/** The rule for whoever looks; null is a visitor without an account. */
export async function outsideRule(account: string | null): Promise<OutsideRule> {
  if (account === null) return "always";
  const [row] = await db()<{ student: boolean; allowed: boolean }[]>`
    select count(*) > 0 as student, coalesce(bool_and(c.outside_players), true) as allowed
    from class_member m join class c on c.id = m.class_id
    where m.account_id = ${account} and c.closed_at is null`;
  return !row!.allowed ? "never" : row!.student ? "ask" : "always";
}

/** Whether somebody may use camera and microphone: a class they are in may forbid it. */
export async function mayRecord(account: string): Promise<boolean> {
  const [row] = await db()<{ may: boolean }[]>`
    select coalesce(bool_and(c.recording), true) as may from class_member m join class c on c.id = m.class_id
    where m.account_id = ${account} and c.closed_at is null`;
  return row!.may;
}
