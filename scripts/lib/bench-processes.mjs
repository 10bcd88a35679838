// The bench of several processes behind one port: what the port costs readers, and that editors wait no longer than for one, in turn.
import { connect } from "node:net";
import { say } from "./say.mjs";

const ROUNDS = 9;
const READERS = 20;
/** So many pages before the measure, and in each round. */
const BEFORE = 4_000;
const PAGES = 4_000;
const WRITERS = 4;
const CHANGES = 25;

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/**
 * Pages a second that readers of some addresses get, packed as every browser asks for them. Over bare sockets: the server, its database
 * and who asks share the cores, and Node's own client costs as much as the server and would be much of what is measured.
 */
function packedPages(urls, count) {
  return new Promise((resolve, reject) => {
    let sent = 0;
    let done = 0;
    const begun = performance.now();
    for (let i = 0; i < READERS; i++) {
      const { host, port, pathname } = new URL(urls[i % urls.length]);
      const ask = `GET ${pathname} HTTP/1.1\r\nHost: ${host}\r\nAccept-Encoding: gzip\r\n\r\n`;
      const socket = connect(Number(port), "127.0.0.1");
      /** Bytes of the page that have not come yet. */
      let left = 0;
      const next = () => (sent++ < count ? socket.write(ask) : socket.end());
      socket.on("connect", next);
      socket.on("error", reject);
      socket.on("data", (piece) => {
        if (left > 0) left -= piece.length;
        else {
          const end = piece.indexOf("\r\n\r\n");
          const head = piece.toString("latin1", 0, end);
          const length = /^content-length: (\d+)/im.exec(head)?.[1];
          if (!head.startsWith("HTTP/1.1 200") || !length)
            return reject(new Error(`${host}${pathname} answered: ${head}`));
          left = Number(length) - (piece.length - end - 4);
        }
        if (left > 0) return;
        if (++done === count) resolve(count / ((performance.now() - begun) / 1000));
        next();
      });
    }
  });
}

/**
 * Measures the same of servers of one database. `one`, `two`: the addresses of one process, and of two behind one port; `apart`: those of
 * two processes with a port each; `path`: a stored page; `cookie`: of somebody who may make timelines.
 */
export async function benchProcesses(report, { one, two, apart }, path, cookie) {
  say("\nTwo processes behind one port: against two with a port each, and against one");
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
  const readers = [[one], [two], apart].map((bases) => bases.map((base) => base + path));
  const read = readers.map(() => []);
  const saved = [[], []];
  const timelines = [];
  for (let i = 0; i < WRITERS; i++)
    timelines.push((await ask(one, "/api/timelines", { title: `Written by ${i}`, subject: "" })).id);
  for (const urls of readers) await packedPages(urls, BEFORE * urls.length);
  let n = 0;
  for (let round = 0; round < ROUNDS; round++) {
    for (const [i, urls] of readers.entries()) read[i].push(await packedPages(urls, PAGES));
    // Four write at once, each in a timeline of their own.
    for (const [i, base] of [one, two].entries())
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
  const [alone, together, each] = read.map(middle);
  report(
    "stored page, requests a second: two ports / one port of two",
    each / together,
    1.15,
    `${Math.round(together)}/s against ${Math.round(each)}/s; one process ${Math.round(alone)}/s`,
  );
  const [ackOne, ackTwo] = saved.map(middle);
  report(
    "four who write, change to acknowledgement: two / one",
    ackTwo / ackOne,
    1.3,
    `${ackTwo.toFixed(1)} ms against ${ackOne.toFixed(1)} ms`,
  );
}
