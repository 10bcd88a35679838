// npm run bench: speed as ratios within one run, against the least a program could do on this machine at this moment.
// The ratios that have a limit fail the run; times are only reported, because machines are shared.
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { createServer, request } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { benchChart } from "./lib/bench-browser.mjs";
import { benchClasses } from "./lib/bench-classes.mjs";
import { benchEditor } from "./lib/bench-editor.mjs";
import { benchMedia } from "./lib/bench-media.mjs";
import { benchHandingOut } from "./lib/bench-handing-out.mjs";
import { benchTogether } from "./lib/bench-together.mjs";
import { benchProcesses } from "./lib/bench-processes.mjs";
import { benchReader } from "./lib/bench-reader.mjs";
import { freePort, startCluster } from "./lib/cluster.mjs";
import { bundle, ensureBuilt, ensureDependencies, ROOT } from "./lib/machine.mjs";
import { MEMORY, YOUNG } from "./lib/memory.mjs";
import { run, say, Stop } from "./lib/say.mjs";

const CONNECTIONS = 20;
/** `npm run bench -- reader editor`: of what needs a browser only these; all of it unless said. */
const parts = process.argv.slice(2);
const failed = [];

function report(what, ratio, most, detail) {
  const over = most !== null && ratio > most;
  if (over) failed.push(what);
  say(
    `${over ? "SLOW " : "     "}${what.padEnd(58)} ${ratio.toFixed(2).padStart(8)}${most === null ? "" : `  (at most ${most})`}   ${detail}`,
  );
}

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/** Requests a second with a fixed number of connections, for a count of requests. */
function throughput(url, headers, count) {
  return new Promise((resolve, reject) => {
    let sent = 0;
    let done = 0;
    const { Agent } = globalThis.httpModule;
    const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS });
    const begun = performance.now();
    const one = () => {
      if (sent++ >= count) return;
      request(url, { agent, headers }, (response) => {
        if (response.statusCode !== 200) return reject(new Error(`${url} answered ${response.statusCode}`));
        response.resume();
        response.on("end", () => {
          if (++done === count) {
            agent.destroy();
            resolve(count / ((performance.now() - begun) / 1000));
          } else one();
        });
      })
        .on("error", reject)
        .end();
    };
    for (let i = 0; i < CONNECTIONS; i++) one();
  });
}

/** The most memory a process needs that reads the largest workbook, MB. */
async function memoryOf(files) {
  const folder = mkdtempSync(join(tmpdir(), "bench-"));
  try {
    writeFileSync(join(folder, "large.xlsx"), await files.largestFile());
    const reader = join(ROOT, "dist", "bench-files.mjs");
    const script = `const { readLargest } = await import(${JSON.stringify(reader)}); console.log(await readLargest(${JSON.stringify(join(folder, "large.xlsx"))}));`;
    const done = spawnSync(process.execPath, ["--input-type=module", "-e", script], { cwd: ROOT, encoding: "utf8" });
    if (done.status !== 0) throw new Stop(`The largest workbook could not be read: ${done.stderr}`);
    return Number(done.stdout);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

await run(async () => {
  ensureDependencies();
  globalThis.httpModule = await import("node:http");
  const build = await ensureBuilt();
  const cluster = await startCluster({ temporary: true });
  const servers = [];
  try {
    const { migrate } = await import("../db/migrate.mjs");
    await migrate(cluster.url);
    /** Serves the database with so many processes; the process that began them, and their address. */
    const serve = async (web) => {
      const port = await freePort();
      const begun = spawn(process.execPath, [...YOUNG, join(ROOT, "scripts", "serve.mjs"), "127.0.0.1", String(port)], {
        cwd: ROOT,
        stdio: ["ignore", "ignore", "inherit"],
        env: {
          ...process.env,
          ...MEMORY,
          NODE_ENV: "production",
          DATABASE_URL: cluster.url,
          FASTIGO_BUILD: build,
          WEB: String(web),
        },
      });
      servers.push(begun);
      const at = `http://localhost:${port}`;
      for (let i = 0; ; i++) {
        try {
          if ((await fetch(`${at}/api/health`)).ok) return [begun, at];
        } catch {}
        if (i > 300) throw new Stop("The server for the bench did not answer.");
        await new Promise((r) => setTimeout(r, 100));
      }
    };
    const [child, base] = await serve(1);

    // A person, a timeline of 24 events, published.
    let cookie = "";
    const ask = async (method, path, body) => {
      const response = await fetch(base + path, {
        method,
        headers: { cookie, "Content-Type": "application/json" },
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
      cookie = response.headers.get("set-cookie")?.split(";")[0] ?? cookie;
      const value = await response.json();
      if (!response.ok) throw new Error(`${path}: ${value.sentence}`);
      return value;
    };
    await ask("POST", "/api/account", {
      displayName: "Bench",
      email: "bench@hollinbank.example",
      password: "over-the-ambrel",
    });
    const { id } = await ask("POST", "/api/timelines", { title: "Bench", subject: "" });
    const files = await import(await bundle("scripts/lib/bench-files.ts", "bench-files"));
    const reading = await files.timeReading();
    const detail = ({ ours, bare }) => `${ours.toFixed(0)} ms against ${bare.toFixed(0)} ms`;
    report("reading 10,000 rows of CSV / the bare parser", reading.csv.ours / reading.csv.bare, 3, detail(reading.csv));
    report(
      "reading 10,000 rows of XLSX / the bare library",
      reading.xlsx.ours / reading.xlsx.bare,
      1.5,
      detail(reading.xlsx),
    );
    report("memory for the largest workbook / 400 MB", (await memoryOf(files)) / 400, 1, "");
    const core = await import(await bundle("scripts/lib/bench-core.ts", "bench-core"));
    const send = (n, ops) => ask("POST", `/api/timelines/${id}/changes`, { id: `c${n}`, base: 0, ops });
    await send(
      "start",
      core.seededEvents(24, 1).map((e) => ({ kind: "add_event", id: e.id, fields: { title: e.title, when: e.when } })),
    );
    const { publication } = await ask("PUT", `/api/timelines/${id}/publication`, { visibility: "link", fresh: true });
    const page = `${base}/t/${publication.address}`;
    const html = Buffer.from(await (await fetch(page, { headers: { "Accept-Encoding": "identity" } })).arrayBuffer());

    say("\nServing (the same bytes, the same connections)");
    const bare = createServer((_, response) => response.writeHead(200, { "Content-Type": "text/html" }).end(html));
    await new Promise((r) => bare.listen(0, "127.0.0.1", r));
    const bareUrl = `http://127.0.0.1:${bare.address().port}/`;
    const plain = { "Accept-Encoding": "identity" };
    await throughput(page, plain, 100);
    const own = middle([
      await throughput(page, plain, 400),
      await throughput(page, plain, 400),
      await throughput(page, plain, 400),
    ]);
    const least = middle([
      await throughput(bareUrl, plain, 2000),
      await throughput(bareUrl, plain, 2000),
      await throughput(bareUrl, plain, 2000),
    ]);
    bare.close();
    report(
      "bare node handler / stored page, requests a second",
      least / own,
      4,
      `${Math.round(own)}/s against ${Math.round(least)}/s, ${html.length} bytes`,
    );

    say("\nSaving");
    const { default: postgres } = await import("postgres");
    const sql = postgres(cluster.url, { max: 1 });
    await sql`create table bench_row (id int primary key, n int)`;
    await sql`insert into bench_row values (1, 0)`;
    const time = async (count, act) => {
      const times = [];
      for (let i = 0; i < count; i++) {
        const begun = performance.now();
        await act(i);
        times.push(performance.now() - begun);
      }
      return middle(times);
    };
    // A server that has been at it for a while, asked as a browser asks it: on a connection that is there already, in turn with the
    // database, because others use the machine too.
    const line = new globalThis.httpModule.Agent({ keepAlive: true, maxSockets: 1 });
    const onLine = (method, path, body) =>
      new Promise((resolve, reject) => {
        const headers = { cookie, ...(body ? { "Content-Type": "application/json" } : {}) };
        request(base + path, { method, agent: line, headers }, (response) => {
          let text = "";
          response.setEncoding("utf8").on("data", (part) => {
            text += part;
          });
          response.on("end", () =>
            response.statusCode === 200
              ? resolve(JSON.parse(text))
              : reject(new Error(`${path} was answered ${response.statusCode}`)),
          );
        })
          .on("error", reject)
          .end(body ? JSON.stringify(body) : undefined);
      });
    const change = (name, known) =>
      onLine("POST", `/api/timelines/${id}/changes`, {
        id: name,
        base: known,
        ops: [{ kind: "set_timeline", field: "subject", value: name }],
      });
    await time(300, (i) => change(`warm${i}`, 2 + i));
    const [rows, acks] = [[], []];
    for (let turn = 0; turn < 10; turn++) {
      rows.push(await time(20, () => sql.begin((tx) => tx`update bench_row set n = n + 1 where id = 1`)));
      acks.push(await time(20, (i) => change(`a${turn}-${i}`, 302 + turn * 20 + i)));
    }
    const [row, ack] = [middle(rows), middle(acks)];
    report(
      "change to acknowledgement / one row changed in PostgreSQL",
      ack / row,
      40,
      `${ack.toFixed(1)} ms against ${row.toFixed(2)} ms`,
    );

    // To another browser: until its event stream says so and it has fetched the change.
    const stop = new AbortController();
    const stream = await fetch(`${base}/api/live`, { headers: { cookie }, signal: stop.signal });
    const reader = stream.body.getReader();
    const decoder = new TextDecoder();
    let text = "";
    const heard = async (seq) => {
      while (!text.includes(`"seq":${seq}}`)) text += decoder.decode((await reader.read()).value);
      text = "";
    };
    const other = await time(60, async (i) => {
      const { seq } = await change(`o${i}`, 502 + i);
      await heard(seq);
      await onLine("GET", `/api/timelines/${id}/changes?after=${seq - 1}`);
    });
    line.destroy();
    stop.abort();
    report(
      "change to another browser / change to acknowledgement",
      other / ack,
      6,
      `${other.toFixed(1)} ms against ${ack.toFixed(1)} ms`,
    );

    say("\nA long history (24 events, whose titles were changed 100 and 10,000 times)");
    const [{ author }] = await sql`select account_id as author from editor where timeline_id = ${id}`;
    const grown = async (changes, n = 24) => {
      const made = await ask("POST", "/api/timelines", { title: "Long", subject: "" });
      const events = core.seededEvents(n, 1);
      await ask("POST", `/api/timelines/${made.id}/changes`, {
        id: "start",
        base: 0,
        ops: events.map((e) => ({ kind: "add_event", id: e.id, fields: { title: e.title, when: e.when } })),
      });
      await sql.begin(async (tx) => {
        const [{ seq }] = await tx`select seq from timeline where id = ${made.id}`;
        await tx`
          insert into change (timeline_id, seq, id, author_id, base, ops, was, digest)
          select ${made.id}, ${seq} + n, 'n' || n, ${author}, ${seq}, jsonb_build_array(jsonb_build_object(
              'kind', 'set_event', 'id', ${events[0].id}::text, 'field', 'title', 'value', 'Title ' || n)), '[{"value": ""}]', ''::bytea
          from generate_series(1, ${changes}::int) n`;
        await tx`update timeline set seq = ${seq} + ${changes}::int where id = ${made.id}`;
      });
      await sql`analyze change`;
      return { id: made.id };
    };
    const whole = async (at) => (await fetch(`${base}/api/timelines/${at}`, { headers: { cookie } })).arrayBuffer();
    const ways = {
      "opening it": (t) => whole(t.id),
      "catching up from its beginning, as a browser does": async (t) => {
        const { changes, seq } = await ask("GET", `/api/timelines/${t.id}/changes?after=1`);
        if (changes.at(-1).seq === seq) return;
        await whole(t.id);
        await ask("GET", `/api/timelines/${t.id}/changes?after=${seq}`);
      },
      "looking back": (t) => ask("GET", `/api/timelines/${t.id}/history`),
      "looking back at its beginning": (t) => ask("GET", `/api/timelines/${t.id}/history?before=60`),
    };
    const [short, long] = [await grown(100), await grown(10_000)];
    for (const [what, way] of Object.entries(ways)) {
      await time(5, () => way(long));
      const [a, b] = [await time(40, () => way(short)), await time(40, () => way(long))];
      report(`${what}: 10,000 changes / 100`, b / a, 4, `${b.toFixed(1)} ms against ${a.toFixed(1)} ms`);
    }
    const deep = await grown(20_000, 500);
    // The first one that is asked for replays all before it, and keeps what the others begin from.
    await whole(`${deep.id}/past/20000`);
    const past = await time(40, (i) => whole(`${deep.id}/past/${(i * 7_919) % 20_000}`));
    report("an earlier state of 500 events, 20,000 changes / 300 ms", past / 300, 1, `${past.toFixed(1)} ms`);
    const wanted = (part) => parts.length === 0 || parts.includes(part);
    // The search is asked as the server asks it, too.
    process.env.DATABASE_URL = cluster.url;
    if (wanted("handing-out"))
      await benchHandingOut(report, base, cookie, ask, sql, (n) => core.seededEvents(n, 11), child.pid);
    if (wanted("classes")) await benchClasses(report, base, cookie, ask, sql, (n) => core.seededEvents(n, 13));
    if (wanted("together")) await benchTogether(report, base, sql);
    if (wanted("processes")) {
      const [pair, two] = await serve(2);
      const apart = [await serve(1), await serve(1)];
      try {
        const bases = { one: base, two, apart: apart.map(([, at]) => at) };
        await benchProcesses(report, bases, new URL(page).pathname, cookie);
      } finally {
        // Told to end, the first of the pair ends the others.
        pair.kill("SIGTERM");
        for (const [begun] of apart) begun.kill("SIGTERM");
      }
    }
    await sql.end();

    if (wanted("editor"))
      await benchEditor(
        report,
        base,
        cookie,
        async (n) => {
          const made = await ask("POST", "/api/timelines", { title: "Many", subject: "" });
          await ask("POST", `/api/timelines/${made.id}/changes`, {
            id: "start",
            base: 0,
            ops: core
              .seededEvents(n, 3)
              .map((e) => ({ kind: "add_event", id: e.id, fields: { title: e.title, when: e.when } })),
          });
          return `/timelines/${made.id}`;
        },
        files.tableText(10_000),
      );

    if (wanted("media")) {
      // Of its own: what the parts before left in a server's memory is not what pictures need.
      const [fresh, at] = await serve(1);
      await benchMedia(report, at, cookie, ask, (n) => core.seededEvents(n, 5), fresh.pid);
      fresh.kill("SIGTERM");
    }

    if (wanted("reader")) await benchReader(report, base, cookie, ask, (n) => core.seededEvents(n, 7));

    say("\nDrawing (core, one thread)");
    const small = core.timeDrawing(10);
    for (const [n, most] of [
      [24, 25],
      [60, 60],
    ])
      report(
        `drawing ${n} events / drawing 10`,
        core.timeDrawing(n) / small,
        most,
        `${core.timeDrawing(n).toFixed(1)} ms against ${small.toFixed(2)} ms`,
      );
    const room = core.roomUsed();
    report(
      "70 % of the frame's height / the share that small charts use",
      0.7 / room.used,
      1,
      `${Math.round(room.used * 100)} %`,
    );
    report("pictures of 110 px / the mean height of theirs", 110 / room.picture, 1, `${Math.round(room.picture)} px`);
    report("a small chart laid out, the slowest tenth / 60 ms", room.ms / 60, 1, `${room.ms.toFixed(1)} ms`);
    const kept = core.pageKept();
    report("the page kept by a small chart, the slowest tenth / 4 ms", kept / 4, 1, `${kept.toFixed(2)} ms`);
    if (parts.length === 0) await benchChart(report);
    say("\nReading dates (one core, the same texts)");
    const dates = await core.datesAgainstOthers();
    report(
      "60 times the speed of a reader of ISO 8601-2 alone / ours",
      60 / dates.edtf,
      1,
      `ours is ${dates.edtf.toFixed(0)} times as fast`,
    );
    report(
      "the speed of a date library / ours",
      1 / dates.library,
      1,
      `ours is ${dates.library.toFixed(1)} times as fast`,
    );
    say(`\n     ${Math.round(core.datesPerSecond()).toLocaleString("en")} dates read a second`);
  } finally {
    for (const one of servers) one.kill("SIGKILL");
    cluster.stop();
  }
  if (failed.length > 0) throw new Stop(`Slower than it may be: ${failed.join("; ")}.`);
});
