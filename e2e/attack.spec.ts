import { test } from "./harness/test";
import { appendFileSync } from "node:fs";
import { type Attack, connectTo } from "./attack/attack";
import { BODIES } from "./attack/bodies";
import { DOCUMENTS } from "./attack/documents";
import { DOORS } from "./attack/doors";
import { FILES } from "./attack/files";
import { FOUR_WRITERS } from "./attack/four-writers";
import { KILLS } from "./attack/kills";
import { OUTAGES } from "./attack/outages";
import { PEOPLE } from "./attack/people";
import { WORDS } from "./attack/words";
import { startServer, type TestServer } from "./harness/server";

// Everything that was once found to stop the server, to read or to cheat, tried again. In a test run a short form of it;
// `npm run attack` does all and prints a table.
const full = process.env.ATTACK === "full";
const usualRates = process.env.ATTACK_RATES === "1";
const ALL: Attack[] = [
  ...DOCUMENTS,
  ...DOORS,
  ...PEOPLE,
  ...FILES,
  ...WORDS,
  ...BODIES,
  ...OUTAGES,
  ...KILLS,
  ...FOUR_WRITERS,
];

let server: TestServer;
let sql: ReturnType<typeof connectTo>;
test.describe.configure({ mode: "default" });
test.beforeAll(async () => {
  server = await startServer("e2e_attack", usualRates ? { TRIES_FACTOR: "1" } : {});
  sql = connectTo(server);
});
test.afterAll(async () => {
  await sql.end();
  await server.stop();
});

for (const attack of ALL)
  test(attack.name, async ({ browser }) => {
    test.setTimeout(full ? 1_800_000 : 240_000);
    const begun = performance.now();
    const row = { name: attack.name, held: false, figure: "", s: 0 };
    try {
      row.figure = await attack.run({ server, sql, browser, full });
      row.held = true;
    } catch (error) {
      row.figure = String(error instanceof Error ? error.message : error).slice(0, 300);
      throw error;
    } finally {
      row.s = (performance.now() - begun) / 1_000;
      if (process.env.ATTACK_TABLE) appendFileSync(process.env.ATTACK_TABLE, `${JSON.stringify(row)}\n`);
    }
  });
