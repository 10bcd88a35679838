// npm run jobs: does the jobs of a database in a process of its own, so that several machines can share them. Those that serve
// pages are started with JOBS=0 then.
import { spawn } from "node:child_process";
import {
  bundleForThreads,
  bundleForJobs,
  ensureDependencies,
  ensureMediaStore,
  nameOfBuild,
  ROOT,
} from "./lib/machine.mjs";
import { run, say, Stop } from "./lib/say.mjs";

await run(async () => {
  ensureMediaStore();
  ensureDependencies();
  const url = process.env.DATABASE_URL;
  if (!url)
    throw new Stop(
      "DATABASE_URL is not set. Set it to the database Fastigo is served from; `npm start` without it does the jobs itself.",
    );
  const { migrate } = await import("../db/migrate.mjs");
  await migrate(url);
  await bundleForThreads();
  const child = spawn(process.execPath, [await bundleForJobs()], {
    cwd: ROOT,
    stdio: ["ignore", "inherit", "inherit", "ipc"],
    env: { ...process.env, NODE_ENV: "production", FASTIGO_BUILD: nameOfBuild(), FASTIGO_ROOT: ROOT },
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill("SIGTERM"));
  say("Jobs are done here. Ctrl-C ends it; what is half done is begun again by another.");
  process.exitCode = await new Promise((resolve) => child.once("exit", (code) => resolve(code ?? 0)));
});
