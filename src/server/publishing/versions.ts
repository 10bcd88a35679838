import "server-only";
import type { Frozen } from "@/core/formats/frozen";
import { db } from "../db/pool";

/** The frozen content of a version, for rendering. */
export async function findVersion(
  id: string,
): Promise<{ frozen: Frozen; at: Date; number: number; hash: string; json: string } | null> {
  const [row] = await db()<{ json: string; createdAt: Date; number: number; hash: string }[]>`
    select json, created_at, number, hash from version where id = ${id}`;
  return row
    ? { frozen: JSON.parse(row.json) as Frozen, at: row.createdAt, number: row.number, hash: row.hash, json: row.json }
    : null;
}

/** A version as it was frozen, byte for byte. */
export async function findVersionText(id: string): Promise<{ json: string; hash: string } | null> {
  const [row] = await db()<{ json: string; hash: string }[]>`select json, hash from version where id = ${id}`;
  return row ?? null;
}

export interface StoredPage {
  html: string;
  etag: string;
  policy: string;
}

/** A page that was stored under a name; null when there is none. */
export async function findPage(version: string, name: string): Promise<StoredPage | null> {
  const [row] = await db()<
    StoredPage[]
  >`select html, etag, policy from page where version_id = ${version} and build = ${name}`;
  return row ?? null;
}

/** Stores a page, and gives the one that is stored: of two made at once, the first. */
export async function storePage(version: string, name: string, page: StoredPage): Promise<StoredPage> {
  await db()`
    insert into page (version_id, build, html, etag, policy)
    values (${version}, ${name}, ${page.html}, ${page.etag}, ${page.policy}) on conflict do nothing`;
  return (await findPage(version, name)) ?? page;
}
