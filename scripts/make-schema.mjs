// npm run schema: writes the JSON Schema of a timeline's JSON, made from the tables of fields, to where the application serves it
// and to docs. A test says when it has to be run again.
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { bundle, ensureDependencies, ROOT } from "./lib/machine.mjs";

ensureDependencies();
const { TIMELINE_SCHEMA } = await import(await bundle("src/core/formats/timeline-schema.ts", "timeline-schema"));
const text = `${JSON.stringify(TIMELINE_SCHEMA, null, 1)}\n`;
for (const file of ["public/timeline.schema.json", "docs/timeline.schema.json"]) writeFileSync(join(ROOT, file), text);
