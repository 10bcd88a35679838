import "server-only";
import { nanoid } from "nanoid";
import { MOST_ROSTER, type RosterEntry, rosterKey } from "@/core/classes/roster";
import { readDisplayName } from "../accounts/sign-up";
import { db, type Tx } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { CLOSED, hashOf, newOneTimeCode, newSignInName } from "./one-time-code";

/** Somebody who was put into a class, with what they need to come in the first time; the code is shown once. */
export interface Slip {
  displayName: string;
  note: string;
  signInName: string;
  code: string;
}

/** A first-time code waits for its lesson. */
const DAYS = 30;

/**
 * Makes an account for everybody of a list, in one transaction: they sign in with their name and the code of their slip, and choose a
 * password then. Whoever is there already by name and note is left as they are. The class's teachers only.
 */
export async function addRoster(
  klass: string,
  teacher: string,
  entries: readonly RosterEntry[],
): Promise<Failure | { slips: Slip[]; there: number }> {
  if (entries.length > MOST_ROSTER) return fail("roster_too_long");
  const wanted = entries.map((e) => ({
    displayName: readDisplayName(e.displayName),
    note: e.note.trim().slice(0, 40),
    id: e.id ?? "",
  }));
  if (wanted.length === 0 || wanted.some((e) => e.displayName === null)) return fail("roster_name_missing");
  return db().begin(async (tx): Promise<Failure | { slips: Slip[]; there: number }> => {
    const [open] = await tx`
      select from class where id = ${klass} and teaches(id, ${teacher}) and closed_at is null and archived_at is null for update`;
    if (!open) return fail("not_found");
    const members = await tx<RosterEntry[]>`
      select a.display_name, m.note from class_member m join account a on a.id = m.account_id where m.class_id = ${klass}`;
    if (members.length + wanted.length > MOST_ROSTER) return fail("roster_too_long");
    const there = new Set(members.map(rosterKey));
    const slips: Slip[] = [];
    for (const e of wanted as RosterEntry[]) {
      if (there.has(rosterKey(e))) continue;
      there.add(rosterKey(e));
      const { id: _, ...slip } = await enrol(tx, klass, e);
      slips.push(slip);
    }
    return { slips, there: wanted.length - slips.length };
  });
}

/** Makes an account for somebody of a class, and its slip. */
export async function enrol(tx: Tx, klass: string, e: RosterEntry): Promise<Slip & { id: string }> {
  const id = nanoid();
  const signInName = await newSignInName(e.displayName, async (name) => {
    const made = await tx`
      insert into account (id, display_name, sign_in_name, password_hash, made_in_class)
      values (${id}, ${e.displayName}, ${name}, ${CLOSED}, ${klass}) on conflict do nothing returning id`;
    return made.length > 0;
  });
  await tx`insert into class_member (class_id, account_id, note, roster_id) values (${klass}, ${id}, ${e.note}, ${e.id ?? ""})`;
  return { id, displayName: e.displayName, note: e.note, signInName, code: await firstCode(tx, id) };
}

async function firstCode(tx: Tx, account: string): Promise<string> {
  const code = newOneTimeCode();
  await tx`
    insert into one_time_code (account_id, code_hash, expires_at)
    values (${account}, ${hashOf(code)}, now() + ${`${DAYS} days`}::interval)
    on conflict (account_id) do update set code_hash = excluded.code_hash, expires_at = excluded.expires_at`;
  return code;
}

/** New slips for everybody of a class who was put there by a list and has never come in; the codes of before end. Its teachers only. */
export async function slipsAnew(klass: string, teacher: string): Promise<Failure | { slips: Slip[] }> {
  return db().begin(async (tx): Promise<Failure | { slips: Slip[] }> => {
    const [own] = await tx`select from class where id = ${klass} and teaches(id, ${teacher}) for update`;
    if (!own) return fail("not_found");
    const waiting = await tx<{ id: string; displayName: string; note: string; signInName: string }[]>`
      select a.id, a.display_name, m.note, a.sign_in_name from class_member m join account a on a.id = m.account_id
      where m.class_id = ${klass} and a.made_in_class = ${klass} and a.password_hash = ${CLOSED}
      order by lower(a.display_name), a.id`;
    const slips: Slip[] = [];
    for (const { id, ...who } of waiting) slips.push({ ...who, code: await firstCode(tx, id) });
    return { slips };
  });
}
