import "server-only";
import type { Language } from "@/core/language/spoken";
import { db, type Sql } from "../db/pool";

export async function chooseLanguage(account: string, language: Language): Promise<void> {
  await db()`update account set language = ${language} where id = ${account}`;
}

/** In which languages people are spoken to where they do not ask themselves: in letters and notices. */
export async function languagesOf(accounts: readonly string[], sql: Sql = db()): Promise<Map<string, Language>> {
  const rows = await sql<{ id: string; language: Language | null }[]>`
    select id, language from account where id = any(${accounts as string[]})`;
  return new Map(rows.map((r) => [r.id, r.language ?? "en"]));
}
