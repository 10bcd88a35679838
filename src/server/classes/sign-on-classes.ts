// The classes that groups of a school's own accounts are, and who has to come in through those accounts.
import "server-only";
import { db, type Sql, type Tx } from "../db/pool";
import { keyOf, providerOf, providers } from "../sign-on/providers";
import { enterClass, openClass } from "./enter-class";

interface Groups {
  /** By what the provider is known. */
  provider: string;
  /** The school's id or name. */
  school: string | null;
  account: string;
  teaches: boolean;
  /** What the classes are called. */
  names: readonly string[];
}

/** The school of a provider; null where there is none, or several have its name. */
async function schoolOf(sql: Sql, wanted: string | null): Promise<string | null> {
  if (wanted === null) return null;
  const rows = await sql<
    { id: string }[]
  >`select id from organisation where id = ${wanted} or name = ${wanted} limit 2`;
  return rows.length === 1 ? rows[0]!.id : null;
}

/**
 * Lets somebody into the classes their groups are. Who teaches one makes its class by coming; students come in when it is there, and
 * nobody is taken out of a class by not being named: that is their teacher's to do.
 */
export async function enterGroups(tx: Tx, g: Groups): Promise<void> {
  const school = await schoolOf(tx, g.school);
  if (school && g.teaches)
    await tx`
      insert into organisation_member (organisation_id, account_id, role) values (${school}, ${g.account}, 'teacher')
      on conflict do nothing`;
  for (const name of g.names) {
    await tx`select pg_advisory_xact_lock(hashtext(${`sign-on ${g.provider} class ${name}`}))`;
    const [known] = await tx<{ id: string; over: boolean }[]>`
      select c.id, c.closed_at is not null or c.archived_at is not null as over from sign_on_group s join class c on c.id = s.class_id
      where s.provider = ${g.provider} and s.name = ${name}`;
    // A class whose year is over is another one next year.
    let klass = known && !known.over ? known.id : null;
    if (klass === null) {
      if (!g.teaches) continue;
      klass = await openClass(tx, name, school, g.account);
      await tx`
        insert into sign_on_group (provider, name, class_id) values (${g.provider}, ${name}, ${klass})
        on conflict (provider, name) do update set class_id = excluded.class_id`;
    } else await enterClass(tx, klass, g.account, g.teaches);
  }
}

/**
 * By which provider an account has to come in, because its school asks for it: who is known there and teaches or learns at the school.
 * Its administrators may always use their password, so that nobody is shut out when the provider is silent. Null: by any way.
 */
export async function mustSignOn(account: string): Promise<string | null> {
  const [row] = await db()<{ provider: string }[]>`
    select s.provider from sign_on_account s, organisation o
    where s.account_id = ${account} and o.sign_on_provider = s.provider and of_school(o.id, ${account})
      and not exists (select from organisation_member m
        where m.organisation_id = o.id and m.account_id = ${account} and m.role = 'administrator')
    limit 1`;
  return row?.provider ?? null;
}

/** Whether a provider, by what it is known by, is set up for this school. */
export async function providesFor(sql: Sql, school: string, key: string): Promise<boolean> {
  const provider = providerOf(key);
  return provider?.school !== undefined && (await schoolOf(sql, provider.school)) === school;
}

/** The provider that is set up for a school; null where there is none. */
export async function providerFor(school: string): Promise<{ key: string; name: string } | null> {
  for (const p of providers()) if (await providesFor(db(), school, keyOf(p))) return { key: keyOf(p), name: p.name };
  return null;
}
