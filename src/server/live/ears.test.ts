import postgres from "postgres";
import { afterEach, describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { withTestDatabase } from "../testing/test-database";
import { Ears } from "./ears";

withTestDatabase("ears");

/** Everything an ear has told so far; `until` waits for what it will tell. */
class Told {
  notices: string[] = [];
  hearing: boolean[] = [];
  private waits: { met: () => boolean; go: () => void }[] = [];
  readonly ears: Ears;

  constructor(url = process.env.DATABASE_URL!) {
    const look = () => {
      this.waits = this.waits.filter((w) => !w.met() || w.go());
    };
    this.ears = new Ears(
      url,
      (n) => {
        this.notices.push(n);
        look();
      },
      (h) => {
        this.hearing.push(h);
        look();
      },
    );
    all.push(this.ears);
  }
  until(met: () => boolean): Promise<void> {
    if (met()) return Promise.resolve();
    return new Promise((go) => this.waits.push({ met, go }));
  }
}
const all: Ears[] = [];
afterEach(() => {
  for (const e of all.splice(0)) e.end();
});
const say = (text: string) => db()`select pg_notify('fastigo', ${text})`;
/** Cuts every connection that listens to this database, as a database that is started again does. */
const cut = () => db()`
  select pg_terminate_backend(pid) from pg_stat_activity
  where datname = current_database() and pid <> pg_backend_pid() and query ilike 'listen%'`;

describe("what the database says", () => {
  it("is heard by every process that listens, and beats of others are nobody's news", async () => {
    const [one, two] = [new Told(), new Told()];
    await Promise.all([one, two].map((t) => t.until(() => t.ears.hearing)));
    await say("changed t 1");
    await say("beat somebody 7");
    await say("changed t 2");
    for (const t of [one, two]) {
      await t.until(() => t.notices.length === 2);
      expect([t.notices, t.hearing]).toEqual([["changed t 1", "changed t 2"], [true]]);
    }
  });

  it("is heard again after its connections were cut; that it was not for a while is told", async () => {
    const one = new Told();
    await one.until(() => one.ears.hearing);
    await cut();
    // It says that it does not hear, or did not, before it says that it hears.
    await one.until(() => one.hearing.length >= 3);
    expect(one.hearing.slice(0, 3)).toEqual([true, false, true]);
    await say("changed t 3");
    await one.until(() => one.notices.includes("changed t 3"));
  });

  it("is heard once there is a database to hear, and nothing is lost of what is said from then on", async () => {
    const admin = postgres(process.env.TEST_CLUSTER!.replace("{name}", "postgres"), { max: 1, onnotice: () => {} });
    await admin.unsafe("drop database if exists ears_late");
    const url = process.env.TEST_CLUSTER!.replace("{name}", "ears_late");
    const one = new Told(url);
    expect(one.ears.hearing).toBe(false);
    await admin.unsafe("create database ears_late");
    await one.until(() => one.ears.hearing);
    const there = postgres(url, { max: 1, onnotice: () => {} });
    await there`select pg_notify('fastigo', 'changed late 1')`;
    await one.until(() => one.notices.length === 1);
    expect(one.notices).toEqual(["changed late 1"]);
    one.ears.end();
    await there.end();
    await admin.unsafe("drop database ears_late with (force)");
    await admin.end();
  });

  it("is heard no more by one that has ended, which tells nothing either", async () => {
    const [one, two] = [new Told(), new Told()];
    await Promise.all([one, two].map((t) => t.until(() => t.ears.hearing)));
    one.ears.end();
    await say("changed t 9");
    await two.until(() => two.notices.length === 1);
    await cut();
    await two.until(() => two.hearing.length >= 3);
    expect([one.notices, one.hearing]).toEqual([[], [true]]);
  });
});
