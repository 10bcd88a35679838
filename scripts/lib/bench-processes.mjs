// The bench of several processes behind one port: readers and editors of two, against those of one, in turn.
import { say } from "./say.mjs";

const ROUNDS = 5;
const WRITERS = 4;
const CHANGES = 40;

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/**
 * Measures the same of two servers of one database. `bases`: the addresses of one process and of two; `path`: a stored page;
 * `throughput`: requests a second of an address; `cookie`: of somebody who may make timelines.
 */
export async function benchProcesses(report, bases, path, throughput, cookie) {
  say("\nTwo processes behind one port, against one");
  const ask = async (base, at, body) => {
    const answer = await fetch(base + at, {
      method: "POST",
      headers: { cookie, "Content-Type": "application/json" },
      body: JSON.stringify(body),
    });
    const value = await answer.json();
    if (!answer.ok) throw new Error(`${at}: ${value.sentence}`);
    return value;
  };
  const plain = { "Accept-Encoding": "identity" };
  const read = bases.map(() => []);
  const saved = bases.map(() => []);
  const timelines = [];
  for (let i = 0; i < WRITERS; i++)
    timelines.push((await ask(bases[0], "/api/timelines", { title: `Written by ${i}`, subject: "" })).id);
  for (const base of bases) await throughput(base + path, plain, 200);
  let n = 0;
  for (let round = 0; round < ROUNDS; round++)
    for (const [i, base] of bases.entries()) {
      read[i].push(await throughput(base + path, plain, 600));
      // Four write at once, each in a timeline of their own.
      await Promise.all(
        timelines.map(async (timeline) => {
          for (let k = 0; k < CHANGES; k++) {
            const begun = performance.now();
            await ask(base, `/api/timelines/${timeline}/changes`, {
              id: `p${n++}`,
              base: 0,
              ops: [{ kind: "set_timeline", field: "subject", value: `s${k}` }],
            });
            saved[i].push(performance.now() - begun);
          }
        }),
      );
    }
  const [one, two] = read.map(middle);
  report(
    "stored page, requests a second: one process / two",
    one / two,
    1.15,
    `${Math.round(two)}/s against ${Math.round(one)}/s`,
  );
  const [ackOne, ackTwo] = saved.map(middle);
  report(
    "four who write, change to acknowledgement: two / one",
    ackTwo / ackOne,
    1.3,
    `${ackTwo.toFixed(1)} ms against ${ackOne.toFixed(1)} ms`,
  );
}
