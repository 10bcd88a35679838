// npm run fuzz: 100,000 texts of any kind through the date reader and the command, looking for a throw, a lost text, or a
// date that ends before it begins; as many spoilt files of every kind through their readers; and 100,000 bodies, by the schema of each route and beside it, looking for a fault of the
// server. usage: npm run fuzz -- [COUNT] [SEED]
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { bundle, ensureDependencies, ROOT } from "./lib/machine.mjs";

ensureDependencies();
const { fuzz } = await import(await bundle("scripts/lib/fuzz-core.ts", "fuzz-core"));
const [count, seed] = [Number(process.argv[2] ?? 100_000), Number(process.argv[3] ?? 1)];
const begun = performance.now();
const found = fuzz(count, seed);
console.log(
  `${count.toLocaleString("en")} texts in ${((performance.now() - begun) / 1000).toFixed(1)} s, ${found.length} wrong`,
);
for (const f of found.slice(0, 20)) console.log(f);
// Then as many spoilt files of every kind that can be brought in.
const readers = await import(await bundle("scripts/lib/fuzz-readers.ts", "fuzz-readers"));
for (const reader of readers.READERS) {
  const from = performance.now();
  const wrong = await readers.fuzzReader(reader, count, seed);
  console.log(
    `${count.toLocaleString("en")} spoilt files (${reader}) in ${((performance.now() - from) / 1000).toFixed(1)} s, ${wrong.length} wrong`,
  );
  for (const w of wrong.slice(0, 20)) console.log(w);
  found.push(...wrong);
}
// Then as many bodies at every route, on an instance of its own.
const routes = spawnSync(process.execPath, [join(ROOT, "scripts", "attack.mjs"), "bodies by the schema"], {
  cwd: ROOT,
  stdio: "inherit",
  env: { ...process.env, FUZZ_COUNT: String(count) },
});
process.exit(found.length === 0 && routes.status === 0 ? 0 : 1);
