// The bench of what is handed out: the search over very many published timelines, readers while others edit, paper and folders.
import { Agent, get } from "node:http";
import sharp from "sharp";
import { forgetMemory, mostMemory } from "./bench-media.mjs";
import { bundle } from "./machine.mjs";
import { say } from "./say.mjs";

const p95 = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)];
const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const PUBLISHED = 100_000;
const READERS = 200;
const EDITORS = 5;

/** Published timelines made by statement: titles of words of which some are everywhere and most are rare. */
export async function fill(sql) {
  await sql.unsafe(`
    insert into timeline (id, title, period)
      select 'bench' || n, 'Bench ' || n, (select period from timeline limit 1) from generate_series(1, ${PUBLISHED}) n;
    insert into version (id, timeline_id, number, seq, purpose, format, json, hash, created_by)
      select 'benchv' || n, 'bench' || n, 1, 0, 'publication', 1, '{}', '', (select id from account limit 1)
      from generate_series(1, ${PUBLISHED}) n;
    insert into publication (timeline_id, address, visibility, version_id, title, byline, events, subject, config, words, days, pictures, published_at, opened)
      select 'bench' || n, 'bencha' || n, 'everybody', 'benchv' || n, t, 'Somebody', 12, 'Subject ' || n % 40, 'english',
        setweight(to_tsvector('english', t), 'A') || to_tsvector('english', 'river town bridge word' || n % 5000 || ' name' || n),
        int8range((500000 + (n * 7919) % 220000)::bigint, (500000 + (n * 7919) % 220000 + 20000)::bigint), n % 3,
        now() - (n || ' minutes')::interval, n % 1000
      from (select n, 'The history of place' || n % 20000 || case when n % 4 = 0 then ' flood' else ' market' end as t
        from generate_series(1, ${PUBLISHED}) n) made;
    analyze publication; analyze timeline;`);
}

const agent = new Agent({ keepAlive: true, maxSockets: READERS });
/** Opens a page as a browser does, packed; what is unpacked on two hundred other machines is not unpacked here. Gives its status. */
const opens = (url) =>
  new Promise((resolve) =>
    get(url, { agent, headers: { "Accept-Encoding": "gzip" } }, (answer) => {
      answer.resume();
      answer.on("end", () => resolve(answer.statusCode));
    }).on("error", () => resolve(0)),
  );

const ASKED = [
  "?q=flood",
  "?q=word77",
  "?q=name4711",
  "?q=history+market&order=newest",
  "?q=river+-flood",
  "?period=1800-1900",
  "?period=1872&q=market",
  "?subject=Subject+7&order=most_read",
  "?pictures=1&page=3",
  "",
];

/** `ask` asks the server as the person of the bench; `sql` is its database; `events` gives made-up events. */
export async function benchHandingOut(report, base, cookie, ask, sql, events, pid) {
  say("\nHanding out");
  await fill(sql);
  const { searchPublished } = await import(await bundle("src/server/publishing/search.ts", "bench-search"));
  const { askedFrom } = await import(await bundle("src/app/published/asked.ts", "bench-asked"));
  const found = [];
  for (let round = 0; round < 12; round++)
    for (const query of ASKED) {
      const { asked } = askedFrom(Object.fromEntries(new URLSearchParams(query)));
      const begun = performance.now();
      await searchPublished(asked);
      if (round > 1) found.push(performance.now() - begun);
    }
  await globalThis.fastigoSql?.end();
  delete globalThis.fastigoSql;
  report(
    "a search over 100,000 published timelines, the slowest twentieth / 50 ms",
    p95(found) / 50,
    1,
    `${p95(found).toFixed(1)} ms, middle ${middle(found).toFixed(1)} ms`,
  );
  const times = [];
  for (let round = 0; round < 8; round++)
    for (const query of ASKED) {
      const begun = performance.now();
      const answer = await fetch(`${base}/published${query}`);
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`/published${query} answered ${answer.status}`);
      if (round > 1) times.push(performance.now() - begun);
    }
  report(
    "the whole page that says what was found, the slowest twentieth / 150 ms",
    p95(times) / 150,
    1,
    `${p95(times).toFixed(1)} ms, middle ${middle(times).toFixed(1)} ms`,
  );

  const { id } = await ask("POST", "/api/timelines", { title: "Bench", subject: "" });
  const list = events(500);
  await ask("POST", `/api/timelines/${id}/changes`, {
    id: "start",
    base: 0,
    ops: list.map((e) => ({ kind: "add_event", id: e.id, fields: { title: e.title, when: e.when } })),
  });
  const { publication } = await ask("PUT", `/api/timelines/${id}/publication`, { visibility: "link", fresh: true });
  const page = `${base}/t/${publication.address}`;
  await (await fetch(page)).arrayBuffer();

  let n = 0;
  const edits = async (ms) => {
    const took = [];
    const end = performance.now() + ms;
    await Promise.all(
      Array.from({ length: EDITORS }, async (_, who) => {
        while (performance.now() < end) {
          const begun = performance.now();
          const op = { kind: "set_event", id: list[who].id, field: "title", value: `Title ${n}` };
          await ask("POST", `/api/timelines/${id}/changes`, {
            id: `e${n++}`,
            base: 1,
            known: 2_147_483_647,
            ops: [op],
          });
          took.push(performance.now() - begun);
          await new Promise((r) => setTimeout(r, 100));
        }
      }),
    );
    return middle(took);
  };
  await edits(1_000);
  const alone = await edits(4_000);
  // Readers of a class: each opens the page, and looks at it for a while.
  let reading = true;
  let errors = 0;
  let opened = 0;
  const readers = Promise.all(
    Array.from({ length: READERS }, async (_, i) => {
      await new Promise((r) => setTimeout(r, (i * 4_000) / READERS));
      while (reading) {
        if ((await opens(page)) !== 200) errors++;
        opened++;
        await new Promise((r) => setTimeout(r, 3_000 + (i % 20) * 100));
      }
    }),
  );
  await new Promise((r) => setTimeout(r, 2_000));
  const beside = await edits(6_000);
  reading = false;
  await readers;
  report(
    "an editor's acknowledgement while 200 read / the same without readers",
    beside / alone,
    1.5,
    `${beside.toFixed(1)} ms against ${alone.toFixed(1)} ms; ${opened} pages, ${errors} errors`,
  );
  report("pages that readers did not get", errors, 0, "");

  const made = async (body) => {
    const begun = performance.now();
    const { file } = await ask("POST", `/api/timelines/${id}/files`, body);
    for (;;) {
      const now = (await ask("GET", `/api/files/${file.id}`)).file;
      if (now.madeAt) return { ms: performance.now() - begun, file: now };
      if (now.job?.state === "failed") throw new Error("a file failed");
      await new Promise((r) => setTimeout(r, 30));
    }
  };
  await made({ kind: "pdf" });
  const pdfs = [];
  for (let i = 0; i < 3; i++) pdfs.push((await made({ kind: "pdf" })).ms);
  report(
    "a PDF of 500 events, asked for until it is there / 3 s",
    middle(pdfs) / 3_000,
    1,
    `${middle(pdfs).toFixed(0)} ms`,
  );

  // Folders with pictures of half a megabyte: what they take is sent on, not held.
  const pictured = async (count) => {
    const { id } = await ask("POST", "/api/timelines", { title: `Pictures ${count}`, subject: "" });
    const ops = [];
    for (let i = 0; i < count; i++) {
      const noise = { type: "gaussian", mean: 110 + (i % 40), sigma: 60 };
      const picture = sharp({ create: { width: 900, height: 700, channels: 3, background: "#888", noise } });
      const bytes = await picture.jpeg({ quality: 90 }).toBuffer();
      const path = `/api/timelines/${id}/uploads`;
      const { upload, piece } = await ask("POST", path, { name: `p${i}.jpg`, size: bytes.length });
      for (let n = 0; n * piece < bytes.length; n++)
        await fetch(`${base}${path}/${upload}/${n}`, {
          method: "PUT",
          headers: { cookie, "Content-Type": "application/octet-stream", origin: base },
          body: bytes.subarray(n * piece, (n + 1) * piece),
        });
      const { media } = await ask("POST", `${path}/${upload}`);
      const fields = { of: "timeline", list: "media", media: media.id, kind: "picture", place: `a${i}` };
      ops.push({ kind: "add_item", id: `i${i}`, fields });
    }
    await ask("POST", `/api/timelines/${id}/changes`, { id: "pictures", base: 0, ops });
    return id;
  };
  const folderMemory = async (timeline) => {
    forgetMemory(pid);
    const { file } = await ask("POST", `/api/timelines/${timeline}/files`, { kind: "folder" });
    for (;;) {
      const now = (await ask("GET", `/api/files/${file.id}`)).file;
      if (now.madeAt) return { mb: mostMemory(pid), size: now.size };
      await new Promise((r) => setTimeout(r, 30));
    }
  };
  const [few, many] = [await pictured(10), await pictured(100)];
  await folderMemory(few);
  const [small, large] = [await folderMemory(few), await folderMemory(many)];
  report(
    "memory while a folder of 100 pictures is made / of 10",
    large.mb / small.mb,
    1.25,
    `${large.mb.toFixed(0)} MB against ${small.mb.toFixed(0)} MB; ${(large.size / 1e6).toFixed(0)} MB and ${(small.size / 1e6).toFixed(0)} MB of zip`,
  );
}
