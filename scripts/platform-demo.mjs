// npm run platform-demo: a learning platform of another site (http://127.0.0.1:3500, where Fastigo is at http://localhost:3000) with a
// course from which Fastigo is opened, assignments are linked, and to which points come back. `npm start` runs beside it and knows it.
import { ensureDependencies } from "./lib/machine.mjs";
import { PLATFORM_DEMO_PORT } from "./lib/platform-demo.mjs";
import { run, say } from "./lib/say.mjs";

await run(async () => {
  ensureDependencies();
  const { startStandInPlatform } = await import("./lib/stand-in-platform.mjs");
  const platform = await startStandInPlatform({
    port: PLATFORM_DEMO_PORT,
    tool: process.env.FASTIGO_URL ?? "http://localhost:3000",
  });
  say(`The learning platform is at ${platform.url}. Open the course's link as Iris Ward first, who teaches it.`);
  say("Ctrl-C stops it.");
});
