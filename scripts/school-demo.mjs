// npm run school-demo: a school's own accounts on another site (http://127.0.0.1:3600, where Fastigo is at http://localhost:3000), through
// which its people sign in. `npm start` runs beside it and knows it: while it runs, the page to sign in has a button for it.
import { ensureDependencies } from "./lib/machine.mjs";
import { run, say } from "./lib/say.mjs";
import { SCHOOL_DEMO_PORT } from "./lib/school-demo.mjs";

await run(async () => {
  ensureDependencies();
  const { startStandInSignOn } = await import("./lib/stand-in-sign-on.mjs");
  const tool = process.env.FASTIGO_URL ?? "http://localhost:3000";
  const { url } = await startStandInSignOn({ port: SCHOOL_DEMO_PORT, tool });
  say(`The school's accounts are at ${url}. Open ${tool}/sign-in and choose “Sign in through Hollin Bank sign-on”.`);
  say("Come as Iris Ward first, who teaches 7A; then its pupils find their class. Ctrl-C stops it.");
});
