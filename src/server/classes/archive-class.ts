import "server-only";
import { type ArchivedClass, type ArchivedRow, CLASS_FORMAT, CLASS_NAME } from "@/core/formats/class-archive";
import { db, type Sql } from "../db/pool";
import { CLASS_TABLES, type ClassTable, type Kind, TABLE_NAMES } from "./class-tables";

/**
 * A class with its students, assignments, works, what was handed in and its marks, as `classes/N/class.json` holds it; null where the
 * person does not teach it. Addresses and ways to sign in are not in it: students come back with new slips.
 */
export async function classArchive(klass: string, teacher: string): Promise<ArchivedClass | null> {
  // Everything as it stands at one moment.
  return db().begin("isolation level repeatable read read only", async (tx): Promise<ArchivedClass | null> => {
    const [own] = await tx<
      Omit<ArchivedClass, "fastigo" | "format" | "teacher" | "people" | "members" | "works" | "given" | "rows">[]
    >`
      select name, zone, publish_limit, retention_months, outside_players, recording, notice, bylines, created_at, archived_at
      from class where id = ${klass} and teaches(id, ${teacher})`;
    if (!own) return null;
    const rows: Record<string, ArchivedRow[]> = {};
    const among = new Map<Kind | "class" | "work", string[]>([["class", [klass]]]);
    const add = (kind: Kind | "work", id: unknown) => {
      const list = among.get(kind) ?? [];
      among.set(kind, list);
      list.push(String(id));
    };
    const named = new Set<string>();
    for (const name of TABLE_NAMES) {
      const table: ClassTable = CLASS_TABLES[name];
      const found = await rowsOf(tx, name, table, among.get(table.found.among) ?? []);
      rows[name] = found;
      for (const row of found)
        for (const [column, c] of Object.entries(table.columns)) {
          if (c.makes) add(c.makes, row[column]);
          if (name === "groupWork" && c.of === "work") add("work", row[column]);
          if (c.by && row[column] !== null) named.add(String(row[column]));
        }
    }
    const members = await tx<ArchivedClass["members"]>`
      select account_id as id, note, roster_id, joined_at from class_member where class_id = ${klass} order by joined_at, account_id`;
    for (const m of members) named.add(m.id);
    const people = await tx<ArchivedClass["people"]>`
      select id, display_name as name from account where id = any(${[...named]}) order by id`;
    const works = await tx<ArchivedClass["works"]>`
      select id as timeline, seq from timeline where id = any(${among.get("work") ?? []}) order by id`;
    const given = await tx<ArchivedClass["given"]>`
      select timeline_id as timeline, id as event, given from event
      where timeline_id = any(${among.get("work") ?? []}) and given is not null and not deleted order by timeline_id, id`;
    return {
      fastigo: CLASS_NAME,
      format: CLASS_FORMAT,
      ...own,
      teacher,
      people: [...people],
      members: [...members],
      works: [...works],
      given: [...given],
      rows,
    };
  });
}

async function rowsOf(tx: Sql, name: string, table: ClassTable, among: readonly string[]): Promise<ArchivedRow[]> {
  if (among.length === 0) return [];
  const columns = Object.keys(table.columns);
  // What is only made for publishing is no submission's.
  const more = name === "version" ? tx`and purpose = 'submission'` : tx``;
  const found = await tx<ArchivedRow[]>`
    select ${tx(columns)} from ${tx(name)} where ${tx(table.found.column)} = any(${[...among]}) ${more} order by ${tx(columns[0]!)}, ${tx(columns[1]!)}`;
  return found.map((row) => Object.fromEntries(columns.map((c) => [c, plain(row[c], table.columns[c]!)])));
}

/** A value as it stands in a file. */
function plain(value: unknown, column: ClassTable["columns"][string]): unknown {
  if (value instanceof Date) return value.toISOString();
  if (value instanceof Uint8Array) return Buffer.from(value).toString("base64");
  const { schema } = column as { schema: { type?: string; anyOf?: { type?: string }[] } };
  const isNumber = schema.type === "number" || schema.anyOf?.[0]?.type === "number";
  return isNumber && typeof value === "string" ? Number(value) : value;
}
