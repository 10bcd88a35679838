import "server-only";
import type { HereMessage } from "@/core/presence/present";
import { db, type Sql } from "../db/pool";
import { tellByRedis } from "./redis";

/** Tells every process that what a person may edit or watch has changed. */
export async function rightsChanged(account: string, sql: Sql = db()): Promise<void> {
  await sql`select pg_notify('fastigo', ${JSON.stringify({ kind: "rights", account })})`;
}

/** Tells every process that a session has ended, by its key. */
export async function signedOut(session: string, sql: Sql = db()): Promise<void> {
  await sql`select pg_notify('fastigo', ${JSON.stringify({ kind: "signed_out", session })})`;
}

/** Tells every process that something was said about a timeline, or altered of what was. */
export async function commentsChanged(timeline: string, sql: Sql = db()): Promise<void> {
  await sql`select pg_notify('fastigo', ${JSON.stringify({ kind: "comments", timeline })})`;
}

/** Tells every process where in a timeline somebody is. */
export async function isHere(timeline: string, here: HereMessage, sql: Sql = db()): Promise<void> {
  const payload = JSON.stringify({ kind: "here", timeline, ...here });
  if (await tellByRedis(payload)) return;
  await sql`select pg_notify('fastigo', ${payload})`;
}

/** Tells every process that the state of some work (submitted, marked, returned) has changed. */
export async function workChanged(timeline: string, sql: Sql = db()): Promise<void> {
  await sql`select pg_notify('fastigo', ${JSON.stringify({ kind: "work", timeline })})`;
}
