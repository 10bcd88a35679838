import { spawnSync } from "node:child_process";
import { randomBytes } from "node:crypto";
import { mkdirSync, rmSync } from "node:fs";
import postgres from "postgres";
import { startServer } from "../harness/server";
import { signUp } from "./actor";
import { type Attack, connectTo, expectThat, seconds, type Target } from "./attack";

/** Takes the database away from the server, and gives the way to bring it back. */
async function takeAway({ server }: Target): Promise<() => Promise<void>> {
  const name = new URL(server.databaseUrl).pathname.slice(1);
  const admin = postgres(process.env.TEST_CLUSTER!.replace("{name}", "postgres"), { max: 1, onnotice: () => {} });
  await admin.unsafe(`alter database ${name} allow_connections false`);
  await admin`select pg_terminate_backend(pid) from pg_stat_activity where datname = ${name} and pid <> pg_backend_pid()`;
  return async () => {
    await admin.unsafe(`alter database ${name} allow_connections true`);
    await admin.end();
  };
}

/** Asks until it is answered as wanted; gives how long that took. */
async function until(what: string, ask: () => Promise<boolean>, limitMs = 40_000): Promise<number> {
  const begun = performance.now();
  for (;;) {
    if (await ask().catch(() => false)) return performance.now() - begun;
    if (performance.now() - begun > limitMs) throw new Error(`${what}: not within ${seconds(limitMs)}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

export const OUTAGES: Attack[] = [
  {
    name: "the database down: a published page, a change, and afterwards",
    async run(target) {
      const { server } = target;
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      await nia.change(t, [{ kind: "add_event", id: "e1", fields: { title: "Ferry" } }]);
      const { publication } = await nia.must<{ publication: { address: string } }>(
        "PUT",
        `/api/timelines/${t}/publication`,
        {
          visibility: "everybody",
          fresh: true,
        },
      );
      const stream = await fetch(`${server.url}/api/live`, { headers: { cookie: nia.cookie } });
      let heard = "";
      void (async () => {
        for await (const part of stream.body as unknown as AsyncIterable<Uint8Array>)
          heard += Buffer.from(part).toString();
      })().catch(() => {});
      const giveBack = await takeAway(target);
      try {
        await until("a page of ours", async () => {
          const page = await nia.ask("GET", `/t/${publication.address}`);
          return (
            page.status === 503 &&
            page.headers.get("content-type")!.startsWith("text/html") &&
            page.text.includes("does not reach its data")
          );
        });
        const change = await nia.change(t, [{ kind: "set_event", id: "e1", field: "title", value: "Rope ferry" }]);
        expectThat(change.status === 503 && change.json.failed === "no_database", `a change: ${change.status}`);
        await until("the stream says that it hears nothing", async () => heard.includes('"hearing":false'));
      } finally {
        await giveBack();
      }
      const back = await until(
        "the page again",
        async () => (await nia.ask("GET", `/t/${publication.address}`)).status === 200,
      );
      // The stream that was open all the while hears again.
      const again = await until(
        "hearing again",
        async () => heard.lastIndexOf('"hearing":true') > heard.lastIndexOf('"hearing":false'),
      );
      const length = heard.length;
      await nia.change(t, [{ kind: "set_event", id: "e1", field: "title", value: "Boat" }]);
      await until("a notice", async () => heard.slice(length).includes('"kind":"changed"'));
      await stream.body?.cancel().catch(() => {});
      return `page again after ${seconds(back)}, notices after ${seconds(again)}`;
    },
  },
];

/** A disk of a few megabytes with the tables that grow; null where only an administrator could make one. */
function smallDisk(megabytes: number): { folder: string; grow: (to: number) => void; remove: () => void } | null {
  if (process.getuid?.() !== 0) return null;
  const folder = `/var/tmp/fastigo-disk-${process.pid}`;
  mkdirSync(folder, { recursive: true });
  if (spawnSync("mount", ["-t", "tmpfs", "-o", `size=${megabytes}m`, "tmpfs", folder]).status !== 0) return null;
  spawnSync("chown", ["postgres:postgres", folder]);
  return {
    folder,
    grow: (to) => void spawnSync("mount", ["-o", `remount,size=${to}m`, folder]),
    remove: () => {
      spawnSync("umount", ["-l", folder]);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

OUTAGES.push({
  name: "the disk full in the middle of writing",
  async run({ full }) {
    if (!full) return "see the whole run";
    const disk = smallDisk(6);
    if (!disk) return "not tried: only root can make a small disk";
    const server = await startServer("e2e_disk");
    const sql = connectTo(server);
    try {
      await sql.unsafe(`create tablespace tiny location '${disk.folder}'`);
      for (const table of ["change", "event", "upload_piece"])
        await sql.unsafe(`alter table ${table} set tablespace tiny`);
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      let taken = 0;
      const write = (n: number) =>
        nia.change(t, [
          { kind: "add_event", id: `e${n}`, fields: { title: randomBytes(140).toString("hex") } },
          {
            kind: "add_item",
            id: `i${n}`,
            fields: { of: `e${n}`, list: "source", text: randomBytes(950).toString("hex") },
          },
        ]);
      let refused = await write(0);
      for (let n = 1; refused.status === 200 && n < 20_000; n++) {
        taken++;
        refused = await write(n);
      }
      expectThat(
        refused.status === 507 && refused.json.failed === "disk_full",
        `answered ${refused.status} ${refused.text}`,
      );
      expectThat((await nia.ask("GET", "/")).status === 200, "home");
      const there = (await nia.snapshot(t)).timeline;
      expectThat(
        there.events.length === taken && there.items.length === taken,
        `${there.events.length} of ${taken} are there`,
      );
      disk.grow(64);
      expectThat((await write(taken + 1)).status === 200, "not after there is room again");
      expectThat((await halfDone(sql)).length === 0, "something is half done");
      return `${taken} changes acknowledged before it, 0 lost; a sentence; goes on when there is room`;
    } finally {
      await sql.end();
      await server.stop();
      const admin = postgres(process.env.TEST_CLUSTER!.replace("{name}", "postgres"), { max: 1, onnotice: () => {} });
      await admin.unsafe("drop database if exists e2e_disk with (force)");
      await admin.unsafe("drop tablespace if exists tiny").catch(() => {});
      await admin.end();
      disk.remove();
    }
  },
});

/** What must be true of everything that is stored, whenever the server was killed; gives what is not. */
export async function halfDone(sql: postgres.Sql): Promise<string[]> {
  const rows = await sql<{ what: string; n: number }[]>`
    select 'a timeline whose number is not that of its last change' as what, count(*)::int as n from timeline t
      where t.seq <> coalesce((select max(seq) from change c where c.timeline_id = t.id), 0)
        and exists (select from change c where c.timeline_id = t.id)
    union all select 'a timeline without an owner', count(*)::int from timeline t
      where not exists (select from editor e where e.timeline_id = t.id and e.role = 'owner')
    union all select 'a group without its one who began', count(*)::int from group_work g join timeline t on t.id = g.timeline_id
      where t.deleted_at is null and not exists (select from group_member m where m.group_id = g.id)
    union all select 'group work without its given events', count(*)::int from group_work g
      where exists (select from given_event v where v.assignment_id = g.assignment_id)
        and not exists (select from event e where e.timeline_id = g.timeline_id and e.given is not null)
    union all select 'a version whose hash is not that of its bytes', count(*)::int from version
      where hash <> encode(sha256(convert_to(json, 'UTF8')), 'hex')
    union all select 'a group with two submissions', count(*)::int from
      (select group_id from submission where taken_back_at is null group by group_id having count(*) > 1) twice
    union all select 'media without a file', count(*)::int from media m where not exists (select from media_file f where f.media_id = m.id)
    union all select 'a finished upload with pieces', count(*)::int from upload u join upload_piece p on p.upload_id = u.id where u.media_id is not null
    union all select 'a file whose hash is not that of its bytes', count(*)::int from blob b
      where b.hash <> encode(sha256((select string_agg(p.bytes, ''::bytea order by p.n) from blob_piece p where p.hash = b.hash)), 'hex')`;
  return rows.filter((r) => r.n > 0).map((r) => `${r.n} × ${r.what}`);
}
