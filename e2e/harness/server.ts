import { type ChildProcess, spawn } from "node:child_process";
import { appendFileSync } from "node:fs";
import { join } from "node:path";
import postgres from "postgres";
import { migrate } from "../../db/migrate.mjs";
import { freePort } from "../../scripts/lib/cluster.mjs";
import { YOUNG } from "../../scripts/lib/memory.mjs";

const ROOT = join(import.meta.dirname, "..", "..");

export interface TestServer {
  url: string;
  databaseUrl: string;
  /** Of the serving process; 0 while there is none. */
  pid(): number;
  /** As a power cut would: SIGKILL. */
  kill(): Promise<void>;
  /** The same server again, on the same port and database. */
  restart(env?: Record<string, string>): Promise<void>;
  stop(): Promise<void>;
}

/** Makes a database of that name and serves the built application on it. `cluster`: where, with {name} for the database. */
export async function startServer(
  name: string,
  env: Record<string, string> = {},
  cluster = process.env.TEST_CLUSTER,
): Promise<TestServer> {
  if (!cluster) throw new Error("Run these through `npm test`, which starts a database for them.");
  const admin = postgres(cluster.replace("{name}", "postgres"), { max: 1, onnotice: () => {} });
  await admin.unsafe(`drop database if exists ${name} with (force)`);
  await admin.unsafe(`create database ${name}`);
  await admin.end();
  const databaseUrl = cluster.replace("{name}", name);
  await migrate(databaseUrl);
  const port = await freePort();
  const url = `http://localhost:${port}`;
  let child: ChildProcess | null = null;

  const begin = async (more: Record<string, string> = {}) => {
    const running = spawn(process.execPath, [...YOUNG, join(ROOT, "scripts", "serve.mjs"), "127.0.0.1", String(port)], {
      cwd: ROOT,
      stdio: ["ignore", "ignore", "inherit"],
      env: {
        ...process.env,
        NODE_ENV: "production",
        DATABASE_URL: databaseUrl,
        NEXT_TELEMETRY_DISABLED: "1",
        FASTIGO_ROOT: ROOT,
        // All people of all journeys come from one address.
        TRIES_FACTOR: "1000",
        ...env,
        ...more,
      },
    });
    child = running;
    let answered = false;
    running.once("exit", (code, signal) => {
      if (running.killed) return;
      const how = `the server of ${name} ${signal ? `was ended by ${signal}` : `ended with status ${code}`}, unasked`;
      console.error(`\n${how}`);
      if (process.env.FASTIGO_FALLS) appendFileSync(process.env.FASTIGO_FALLS, `${how}\n`);
      // As where people work, where it is watched over: what is asked afterwards is answered.
      if (answered) begin(more).catch((error) => console.error(error));
    });
    const end = Date.now() + 120_000;
    for (;;) {
      if (await answers(`${url}/api/health`)) {
        answered = true;
        return;
      }
      if (Date.now() > end || running.exitCode !== null) throw new Error("The server for the tests did not answer.");
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const end = async (signal: "SIGKILL" | "SIGTERM") => {
    const running = child;
    if (!running || running.exitCode !== null || running.signalCode !== null) return;
    const gone = new Promise((resolve) => running.once("exit", resolve));
    running.kill(signal);
    await gone;
  };
  await begin();
  return {
    url,
    databaseUrl,
    pid: () => child?.pid ?? 0,
    kill: () => end("SIGKILL"),
    restart: (more) => begin(more),
    stop: () => end("SIGTERM"),
  };
}

async function answers(url: string): Promise<boolean> {
  try {
    return (await fetch(url)).ok;
  } catch {
    return false;
  }
}
