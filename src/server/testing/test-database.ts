import postgres from "postgres";
import { afterAll, beforeAll } from "vitest";
import { closeDb, db } from "../db/pool";
import { signUp } from "../accounts/sign-up";
import { isFailure } from "../http/failure";
import { createTimeline } from "../timelines/create";
import { TEMPLATE } from "./template";

/** Gives the tests of a file a database of their own, with every migration applied. */
export function withTestDatabase(name: string): void {
  beforeAll(async () => {
    const cluster = process.env.TEST_CLUSTER;
    if (!cluster) throw new Error("Run these through `npm test`, which starts a database for them.");
    const admin = postgres(cluster.replace("{name}", "postgres"), { max: 1, onnotice: () => {} });
    await admin.unsafe(`drop database if exists ${name}`);
    await admin.unsafe(`create database ${name} template ${TEMPLATE}`);
    await admin.end();
    process.env.DATABASE_URL = cluster.replace("{name}", name);
    db();
  });
  afterAll(closeDb);
}

let people = 0;

/** A person with an account of their own. */
export async function makePerson(displayName = "Nia"): Promise<{ id: string; email: string }> {
  const email = `p${people++}@hollinbank.example`;
  const made = await signUp({ displayName, email, password: "over-the-ambrel" });
  if (isFailure(made)) throw new Error(made.failed);
  return { id: made.user.id, email };
}

export async function makeTimeline(owner: string, title = "Crossings"): Promise<string> {
  const made = await createTimeline(owner, { title, subject: "" });
  if (isFailure(made)) throw new Error(made.failed);
  return made.id;
}
