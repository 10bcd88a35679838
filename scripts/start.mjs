// npm start: from a fresh machine to a served application. Nothing is installed yet when this begins, so only
// Node's own modules may be imported at the top.
import { spawn } from "node:child_process";
import { createServer } from "node:net";
import { join } from "node:path";
import { startCluster } from "./lib/cluster.mjs";
import {
  bundle,
  bundleForReaders,
  bundleForThreads,
  ensureBuilt,
  ensureDependencies,
  ensureMediaStore,
  ROOT,
} from "./lib/machine.mjs";
import { startStandInPlayer } from "./lib/stand-in-player.mjs";
import { MEMORY, YOUNG } from "./lib/memory.mjs";
import { demoPlatforms } from "./lib/platform-demo.mjs";
import { demoSignOn } from "./lib/school-demo.mjs";
import { run, say, Stop } from "./lib/say.mjs";
import { watch } from "./lib/watch.mjs";

const dev = process.argv.includes("--dev");
const port = Number(process.env.PORT ?? 3000);
const host = process.env.HOST ?? "127.0.0.1";

function portIsFree() {
  return new Promise((resolve) => {
    const server = createServer();
    server.once("error", () => resolve(false));
    server.listen(port, host, () => server.close(() => resolve(true)));
  });
}

async function waitUntilServed(url, state) {
  for (const end = Date.now() + 90_000; ; ) {
    if (Date.now() > end)
      throw new Stop("The server did not answer within a minute and a half. Its messages are above.");
    if (state.last) throw new Stop(state.last);
    try {
      if ((await fetch(`${url}/api/health`)).ok) return;
    } catch {}
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

/** Nobody signs in to a demo account that an earlier start loaded: its password is written in the README. */
async function closeDemoAccounts(url) {
  const { default: postgres } = await import("postgres");
  const sql = postgres(url, { max: 1, onnotice: () => {} });
  try {
    const closed = await sql`
      update account set password_hash = 'closed'
      where password_hash <> 'closed' and demo returning id`;
    await sql`delete from session where account_id in (select id from account where demo)`;
    return closed.length;
  } finally {
    await sql.end();
  }
}

/** Whether an earlier start with an address for everybody has closed the demo accounts of this database. */
async function areDemoAccountsClosed(url) {
  const { default: postgres } = await import("postgres");
  const sql = postgres(url, { max: 1, onnotice: () => {} });
  try {
    const [closed] = await sql`select from account where demo and password_hash = 'closed' limit 1`;
    return closed !== undefined;
  } finally {
    await sql.end();
  }
}

/** So that they are known again when an address for everybody is set. */
async function markDemoAccounts(url) {
  const { default: postgres } = await import("postgres");
  const sql = postgres(url, { max: 1, onnotice: () => {} });
  try {
    await sql`update account set demo = true, email_proven_at = now() where not demo and email like '%@hollinbank.example'`;
    await sql`delete from mail m using account a where a.id = m.account_id and a.demo and m.holds_key`;
    await sql`update account set operator = true where demo and email = 'keeper@hollinbank.example'`;
    await sql`
      update account a set demo = true from class_teacher k join account t on t.id = k.account_id
      where not a.demo and t.demo and a.made_in_class = k.class_id`;
  } finally {
    await sql.end();
  }
}

await run(async () => {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 9))
    throw new Stop(`Fastigo needs Node.js 20.9 or later; this is ${process.versions.node}.`);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT must be a number from 1 to 65535, not "${process.env.PORT}".`);
  if (!(await portIsFree()))
    throw new Stop(
      `Port ${port} on ${host} is taken by another program. Stop that program, or choose another port: PORT=${port + 1} npm start`,
    );
  ensureMediaStore();
  ensureDependencies();

  let cluster = null;
  let databaseUrl = process.env.DATABASE_URL;
  if (!databaseUrl) {
    cluster = await startCluster();
    databaseUrl = cluster.url;
  }
  let watched = null;
  let ending = false;
  const end = (status) => {
    if (ending) return;
    ending = true;
    const finish = () => {
      cluster?.stop();
      process.exit(status);
    };
    if (watched) watched.stop("SIGTERM", finish);
    else finish();
  };
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) process.on(signal, () => end(0));

  try {
    const { migrate } = await import("../db/migrate.mjs");
    try {
      await migrate(databaseUrl);
    } catch (error) {
      const where = databaseUrl.replace(/:[^:@/]*@/, ":...@");
      if (
        ["ECONNREFUSED", "ENOTFOUND", "CONNECT_TIMEOUT", "EHOSTUNREACH", "28P01", "28000", "3D000"].includes(error.code)
      )
        throw new Stop(
          `The database at ${where} does not answer (${error.code}). Check that it runs and that address, user and password are right, or unset DATABASE_URL to use one of Fastigo's own.`,
        );
      throw error;
    }
    // A player of another site to see how such are handled, until PLAYERS names real ones.
    const standIn =
      process.env.PLAYERS || process.env.PUBLIC_URL ? null : await startStandInPlayer(port < 65_535 ? port + 1 : 0);
    const build = dev ? "dev" : await ensureBuilt();
    if (dev) {
      await bundleForReaders();
      await bundleForThreads();
    }
    const local = `http://${host === "0.0.0.0" ? "127.0.0.1" : host}:${port}`;
    const state = { served: false, last: null };
    watched = watch({
      address: `${local}/api/health`,
      begin: () => [
        process.execPath,
        dev
          ? [join(ROOT, "node_modules", "next", "dist", "bin", "next"), "dev", "-H", host, "-p", String(port)]
          : [...YOUNG, join(ROOT, "scripts", "serve.mjs"), host, String(port)],
        {
          cwd: ROOT,
          detached: true, // so that Ctrl-C reaches this process alone, which then ends the rest in order
          stdio: ["ignore", dev ? "inherit" : "ignore", "inherit"],
          env: {
            ...process.env,
            ...MEMORY,
            NODE_ENV: dev ? "development" : "production",
            DATABASE_URL: databaseUrl,
            FASTIGO_BUILD: build,
            FASTIGO_ROOT: ROOT,
            ...(standIn ? { STAND_IN_PLAYER: standIn } : {}),
            // On this machine alone the stand-ins of a learning platform and of a school's accounts are known.
            ...(process.env.LTI_PLATFORMS || process.env.PUBLIC_URL ? {} : { LTI_PLATFORMS: demoPlatforms() }),
            ...(process.env.SIGN_ON || process.env.PUBLIC_URL ? {} : { SIGN_ON: demoSignOn() }),
            NEXT_TELEMETRY_DISABLED: "1",
          },
        },
      ],
      onLast: (sentence) => {
        state.last = sentence;
        // While it is being started, the one who waits says it.
        if (!state.served) return;
        say(sentence);
        end(1);
      },
    });
    await waitUntilServed(local, state);
    state.served = true;
    const isPublic = Boolean(process.env.PUBLIC_URL);
    const demo = process.env.DEMO !== "0" && !isPublic;
    if (isPublic) {
      const closed = await closeDemoAccounts(databaseUrl);
      say(
        `PUBLIC_URL is set, so the demo accounts, whose password everybody knows, are not loaded${closed > 0 ? `, and the ${closed} that were there are closed` : ""}.`,
      );
    }
    if (demo) {
      const loader = await bundle("scripts/demo/load.ts", "load-demo");
      // Not waited for in this process's own time: the stand-in player it asks answers from here.
      const status = await new Promise((resolve) =>
        spawn(process.execPath, [loader, local], {
          cwd: ROOT,
          stdio: ["ignore", "inherit", "inherit"],
          env: { ...process.env, ...(standIn ? { STAND_IN_PLAYER: standIn } : {}) },
        }).once("exit", resolve),
      );
      await markDemoAccounts(databaseUrl);
      if (status !== 0) say("The demo data could not be loaded; everything else works. Its message is above.");
    }
    say(`\nFastigo is at ${process.env.PUBLIC_URL ?? local.replace("127.0.0.1", "localhost")}`);
    if (demo && (await areDemoAccountsClosed(databaseUrl)))
      say(
        "The demo accounts of this database were closed when it was started with PUBLIC_URL, so nobody can sign in to them. Everything else works; sign up, or start with a new database to see the demo.",
      );
    else if (demo)
      say(
        "Demo sign-ins (password for all: over-the-ambrel)\n  nia@hollinbank.example     a student with six timelines\n  obi@hollinbank.example     works with her on one of them\n  ward@hollinbank.example    their teacher\n  keeper@hollinbank.example  keeps the site: what readers report",
      );
    say("Ctrl-C stops everything.");
  } catch (error) {
    ending = true;
    await new Promise((resolve) => (watched ? watched.stop("SIGKILL", resolve) : resolve()));
    cluster?.stop();
    throw error;
  }
});
