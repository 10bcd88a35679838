import { readFileSync } from "node:fs";
import { setTimeout as rest } from "node:timers/promises";
import postgres from "postgres";
import { startCluster } from "../../scripts/lib/cluster.mjs";
import { startServer } from "../harness/server";
import { type Actor, signUp } from "./actor";
import { type Attack, expectThat } from "./attack";

const WRITERS = 4;
/** What is not acknowledged by then is not going to be, ms. */
const LONGEST_MS = 120_000;
/** Nothing hangs: what cannot be done is said. */
const LONGEST_ANSWER_MS = 60_000;

/** The processes that serve, which the first one tends. */
const serving = (pid: number): number[] =>
  readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8").trim().split(/\s+/).filter(Boolean).map(Number);

/** Kills a process; false where it had gone by itself meanwhile. */
function kill(pid: number | undefined): boolean {
  try {
    return pid !== undefined && process.kill(pid, "SIGKILL");
  } catch {
    return false;
  }
}

/** Kills one of the processes of PostgreSQL; they all begin anew then, from what was written down. */
async function killDatabase(url: string): Promise<boolean> {
  const sql = postgres(url, { max: 1, connect_timeout: 5, onnotice: () => {} });
  try {
    const rows = await sql<{ pid: number }[]>`
      select pid from pg_stat_activity where datname = current_database() order by pid = pg_backend_pid() limit 1`;
    return kill(rows[0]?.pid);
  } finally {
    await sql.end({ timeout: 1 }).catch(() => {});
  }
}

/** Says it until it is acknowledged, as a browser does: the same change, however often. Gives its number. */
async function insist(who: Actor, path: string, change: object): Promise<{ seq: number; tries: number }> {
  const end = performance.now() + LONGEST_MS;
  for (let tries = 1; performance.now() < end; tries++) {
    const answer = await Promise.race([
      who.ask("POST", path, change).catch(() => null),
      rest(LONGEST_ANSWER_MS).then(() => "late" as const),
    ]);
    if (answer === "late") throw new Error(`a change was not answered at all within ${LONGEST_ANSWER_MS / 1_000} s`);
    if (answer?.status === 200) return { seq: answer.json.seq as number, tries };
    await rest(40);
  }
  throw new Error(`a change was not acknowledged within ${LONGEST_MS / 1_000} s`);
}

export const FOUR_WRITERS: Attack[] = [
  {
    name: "SIGKILL of either process and of PostgreSQL under four writers",
    async run({ full }) {
      const each = full ? 100 : 2;
      // A database of its own: when one of its processes is killed, all who use it are thrown out.
      const cluster = await startCluster({ temporary: true });
      const admin = postgres(cluster.url, { max: 1, onnotice: () => {} });
      // As it is where people work: what was acknowledged is written down. The databases of tests are quicker than that.
      await admin`alter role fastigo set synchronous_commit = on`;
      await admin.end();
      const server = await startServer("four_writers", { WEB: "2" }, cluster.urlOf("{name}"));
      try {
        const owner = await signUp(server.url, "Nia");
        const t = await owner.timeline();
        const { token } = await owner.must<{ token: string }>("POST", `/api/timelines/${t}/invitation`, {
          renew: false,
        });
        const writers: Actor[] = [owner];
        while (writers.length < WRITERS) {
          const next = await signUp(server.url, `Writer${writers.length}`);
          await next.must("POST", `/api/join/${token}`);
          writers.push(next);
        }
        let going = true;
        let again = 0;
        const told: { id: string; seq: number }[] = [];
        const work = writers.map(async (who, w) => {
          for (let n = 0; going; n++) {
            const id = `w${w}n${n}`;
            const ops = [{ kind: "add_event", id, fields: { title: `Event ${n} of ${w}` } }];
            const { seq, tries } = await insist(who, `/api/timelines/${t}/changes`, { id, base: 0, known: 0, ops });
            again += tries - 1;
            told.push({ id, seq });
          }
        });
        const kinds = ["one process", "the other", "PostgreSQL"] as const;
        for (let n = 0; n < each * kinds.length; n++) {
          const before = told.length;
          await rest((n * 137) % 400);
          const isKilled = async () => {
            if (kinds[n % 3] === "PostgreSQL") return killDatabase(server.databaseUrl).catch(() => false);
            const pids = serving(server.pid());
            return kill(pids[n % 2 < pids.length ? n % 2 : 0]);
          };
          // It may be gone from the last time and not back yet.
          while (!(await isKilled())) await rest(50);
          // Until somebody has been acknowledged after it: nobody is killed while all are away.
          const end = performance.now() + LONGEST_MS;
          while (told.length < before + WRITERS) {
            expectThat(performance.now() < end, `after kill ${n + 1} (${kinds[n % 3]}) nobody was acknowledged`);
            await rest(20);
          }
        }
        going = false;
        await Promise.all(work);
        const sql = postgres(server.databaseUrl, { max: 1, onnotice: () => {} });
        const log = await sql<{ id: string; seq: number }[]>`
          select id, seq from change where timeline_id = ${t} and id ~ '^w[0-9]+n[0-9]+$' order by seq`;
        const [events] = await sql<{ n: number }[]>`
          select count(*)::int as n from event where timeline_id = ${t} and not deleted`;
        await sql.end();
        const seqOf = new Map(log.map((c) => [c.id, c.seq]));
        const lost = told.filter((c) => seqOf.get(c.id) !== c.seq);
        expectThat(lost.length === 0, `acknowledged and lost: ${lost.map((c) => c.id).join(", ")}`);
        expectThat(log.length === told.length, `${log.length} changes of ${told.length} that were acknowledged`);
        expectThat(events!.n === told.length, `${events!.n} events of ${told.length}`);
        return `${each} kills each; ${told.length} changes acknowledged, ${again} of them asked for again, 0 lost, none twice`;
      } finally {
        await server.stop();
        cluster.stop();
      }
    },
  },
];
