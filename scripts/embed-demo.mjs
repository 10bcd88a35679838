// npm run embed-demo: a page of another site (http://127.0.0.1:3400, where Fastigo is at http://localhost:3000, so that cookies and
// frames behave as between two sites) with the demo's timeline in it in every way it can be embedded. `npm start` runs beside it.
import { bundle, ensureDependencies } from "./lib/machine.mjs";
import { startForeignPage } from "./lib/foreign-page.mjs";
import { run, say, Stop } from "./lib/say.mjs";

const site = process.env.FASTIGO_URL ?? `http://localhost:${process.env.PORT ?? 3000}`;
const port = Number(process.env.EMBED_PORT ?? 3400);

await run(async () => {
  ensureDependencies();
  const { embedCode } = await import(await bundle("src/core/published/embed-code.ts", "embed-code"));
  const page = `${site}/t/over-the-ambrel`;
  const answer = await fetch(page).catch(() => null);
  if (!answer?.ok)
    throw new Stop(
      `The demo's timeline is not at ${page}. Run \`npm start\` beside this, or name the address in FASTIGO_URL.`,
    );
  const event = (await answer.text()).match(/id="(e-[A-Za-z0-9_-]+)"/)?.[1] ?? "";
  const of = (first, height = { kind: "fixed", px: 620 }) =>
    embedCode({ page, title: "Over the Ambrel", first, height });
  const { url } = await startForeignPage(
    "The Ambrelford Courier",
    [
      { id: "chart", heading: "The chart", text: "A fixed height.", code: of("") },
      { id: "event", heading: "One event", text: "Opened from the chart.", code: of(event) },
      { id: "reading", heading: "The reading", text: "As high as it needs.", code: of("read", { kind: "growing" }) },
      { id: "practice", heading: "A practice", text: "Readers put events in order.", code: of("practice") },
      {
        id: "gone",
        heading: "What was taken back",
        text: "A notice stands in its place.",
        code: embedCode({
          page: `${site}/t/nothing-here`,
          title: "Taken back",
          first: "",
          height: { kind: "fixed", px: 300 },
        }),
      },
    ],
    port,
  );
  say(`A page of another site, with the timeline in it: ${url}`);
  say("Ctrl-C ends it.");
});
