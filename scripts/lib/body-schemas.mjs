// Prints, as JSON, the method, path and schema of the body of every route below src/app that takes one.
import { mkdirSync, readdirSync, writeFileSync } from "node:fs";
import { dirname, join, relative } from "node:path";
import { bundle, ROOT } from "./machine.mjs";

const APP = join(ROOT, "src", "app");
const files = readdirSync(APP, { recursive: true })
  .map(String)
  .filter((f) => f.endsWith("route.ts"))
  .sort();
const entry = join(ROOT, "dist", "body-schemas-entry.ts");
mkdirSync(dirname(entry), { recursive: true });
writeFileSync(
  entry,
  `${files.map((f, i) => `import * as r${i} from ${JSON.stringify(join(APP, f))};`).join("\n")}
const routes = [${files.map((f, i) => `[${JSON.stringify(`/${dirname(f)}`)}, r${i}]`).join(", ")}];
const text = JSON.stringify(routes.flatMap(([path, module]) =>
  Object.entries(module).flatMap(([method, handler]) => handler?.bodySchema ? [[method, path, handler.bodySchema]] : [])));
// What is in a pipe when a process ends may be cut off.
process.stdout.write(text, () => process.exit(0));
`,
);
await import(await bundle(relative(ROOT, entry), "body-schemas"));
