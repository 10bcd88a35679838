// Who somebody of a provider is here: their account, and the classes their groups are.
import "server-only";
import { WORDS as COMMON } from "@/core/words/common";
import { nanoid } from "nanoid";
import { textOf } from "@/core/text/loose";
import { readDisplayName, readEmail } from "../accounts/sign-up";
import { CLOSED, newSignInName } from "../classes/one-time-code";
import { enterGroups } from "../classes/sign-on-classes";
import type { Tx } from "../db/pool";
import { keyOf, type Provider } from "./providers";

/** Somebody has come, and this is said of them. */
export interface Come {
  provider: Provider;
  subject: string;
  claims: Record<string, unknown>;
}

/**
 * The account of whoever came, made when there is none; or the one that has their address already, which nobody is let into without its
 * password. `as`: an account whose password was typed, or "new" for one of their own.
 */
export async function meet(
  tx: Tx,
  come: Come,
  as: string | null = null,
): Promise<{ account: string } | { known: string }> {
  const key = keyOf(come.provider);
  await tx`select pg_advisory_xact_lock(hashtext(${`sign-on ${key} ${come.subject}`}))`;
  const [own] = await tx<{ id: string }[]>`
    select s.account_id as id from sign_on_account s join account a on a.id = s.account_id
    where s.provider = ${key} and s.subject = ${come.subject} and a.deleted_at is null`;
  if (own) return { account: own.id };
  const email = readEmail(textOf(come.claims.email, 254));
  const [known] =
    email === null || as !== null
      ? []
      : await tx<{ id: string }[]>`
          select id from account where lower(email) = ${email.toLowerCase()} and deleted_at is null`;
  if (known) return { known: known.id };
  const isProven = come.claims.email_verified === true && as === null;
  const account = as === null || as === "new" ? await makeAccount(tx, come, isProven ? email : null) : as;
  await tx`
    insert into sign_on_account (provider, subject, account_id) values (${key}, ${come.subject}, ${account})
    on conflict (provider, subject) do update set account_id = excluded.account_id`;
  return { account };
}

const teaches = ({ provider, claims }: Come): boolean => {
  if (!provider.teachers) return false;
  const said = claims[provider.teachers.claim];
  return (Array.isArray(said) ? said : [said]).some((v) => v === provider.teachers!.value);
};

/** An account for somebody of a provider: of a pupil the given name and one letter are seen, of a teacher the whole name. */
async function makeAccount(tx: Tx, come: Come, email: string | null): Promise<string> {
  const [given, family, whole] = [come.claims.given_name, come.claims.family_name, come.claims.name].map((c) =>
    textOf(c, 60).trim(),
  ) as [string, string, string];
  const letter = [...family][0];
  const short = given ? `${given}${letter ? ` ${letter.toUpperCase()}.` : ""}` : "";
  const displayName =
    readDisplayName(teaches(come) ? whole || short : short || whole.split(" ")[0]!) ?? COMMON.somebody;
  const id = nanoid();
  await newSignInName(displayName, async (name) => {
    const made = await tx`
      insert into account (id, display_name, sign_in_name, password_hash, email, email_proven_at)
      values (${id}, ${displayName}, ${name}, ${CLOSED}, ${email}, ${email ? new Date() : null})
      on conflict do nothing returning id`;
    return made.length > 0;
  });
  return id;
}

/** What is said of somebody each time they come: they are in the classes their groups are, and at their school. */
export async function comeAgain(tx: Tx, come: Come, account: string): Promise<void> {
  const { provider, claims } = come;
  const said = provider.classes ? claims[provider.classes.claim] : [];
  const pattern = provider.classes ? new RegExp(provider.classes.pattern, "u") : null;
  const names = (Array.isArray(said) ? said : [said]).flatMap((value) => {
    const found = pattern?.exec(textOf(value, 200));
    const name = (found?.[1] ?? found?.[0] ?? "").trim().slice(0, 80);
    return name ? [name] : [];
  });
  await enterGroups(tx, {
    provider: keyOf(provider),
    school: provider.school ?? null,
    account,
    teaches: teaches(come),
    names: [...new Set(names)].sort().slice(0, 50),
  });
}
