// The bench of working together: a change on its way to another browser while many are there, and what it costs to be seen.
import { say } from "./say.mjs";

const HERE = 30;
const ELSEWHERE = 200;
const ROUNDS = 100;
/** An open page that is not alone says so again after, s. */
const SAID_AGAIN_S = 15;

const at = (list, share) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))];

/** Measures with 30 people in one timeline and 200 in others. `sign`: makes somebody and gives their cookie. */
export async function benchTogether(report, base, sql) {
  say(`\nTogether (${HERE} present in one timeline, ${ELSEWHERE} in others)`);
  const ask = async (cookie, method, path, body) => {
    const answer = await fetch(base + path, {
      method,
      headers: { cookie, ...(body ? { "Content-Type": "application/json" } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text.slice(0, 200)}`);
    return JSON.parse(text);
  };
  const { createHash, randomBytes } = await import("node:crypto");
  // Accounts and sessions are written straight into the tables: passwords are slow on purpose.
  const person = async (name) => {
    const id = randomBytes(12).toString("hex");
    const token = randomBytes(32).toString("base64url");
    await sql`
      insert into account (id, display_name, sign_in_name, password_hash) values (${id}, ${name}, ${id}, 'closed')`;
    await sql`
      insert into session (token_hash, account_id, expires_at)
      values (${createHash("sha256").update(token).digest()}, ${id}, now() + interval '1 day')`;
    return { id, cookie: `fastigo_session=${token}` };
  };
  const streams = [];
  let received = 0;
  /** Opens the stream of somebody; `on` hears each piece. */
  const listen = async ({ cookie }, on) => {
    const stop = new AbortController();
    const stream = await fetch(`${base}/api/live`, { headers: { cookie }, signal: stop.signal });
    const begun = new Promise((resolve) => {
      void (async () => {
        const decoder = new TextDecoder();
        for await (const part of stream.body) {
          const text = decoder.decode(part);
          if (text.includes("catch_up")) resolve();
          on(text, part.length);
        }
      })().catch(() => {});
    });
    streams.push(stop);
    await begun;
  };
  const owner = await person("Owner");
  const { id } = await ask(owner.cookie, "POST", "/api/timelines", { title: "Together", subject: "" });
  const { token } = await ask(owner.cookie, "POST", `/api/timelines/${id}/invitation`, { renew: false });
  const present = [owner];
  while (present.length < HERE) {
    const p = await person(`Here ${present.length}`);
    await ask(p.cookie, "POST", `/api/join/${token}`);
    present.push(p);
  }
  const waiting = new Map();
  const [reader, ...rest] = present.slice(1);
  let buffer = "";
  await listen(reader, (text) => {
    buffer = (buffer + text).slice(-20_000);
    for (const [seq, done] of waiting)
      if (buffer.includes(`"seq":${seq}}`)) {
        waiting.delete(seq);
        done();
      }
  });
  for (const p of [owner, ...rest])
    await listen(p, (_, bytes) => {
      received += bytes;
    });
  const others = [];
  for (let i = 0; i < ELSEWHERE; i++) {
    const p = await person(`Elsewhere ${i}`);
    const { id: own } = await ask(p.cookie, "POST", "/api/timelines", { title: "Own", subject: "" });
    await listen(p, () => {});
    others.push({ ...p, timeline: own, n: 0 });
  }
  const beHere = (p, i, timeline, n) =>
    ask(p.cookie, "POST", `/api/timelines/${timeline}/here`, {
      tab: `t${i}`,
      n,
      where: { at: "ledger", event: null, field: "", follows: null },
    });
  for (const [i, p] of present.entries()) await beHere(p, i, id, 1);

  // All who are elsewhere write, one after the other, all the while.
  let going = true;
  const writing = Array.from({ length: 4 }, async (_, lane) => {
    for (let i = lane; going; i = (i + 4) % others.length) {
      const o = others[i];
      await ask(o.cookie, "POST", `/api/timelines/${o.timeline}/changes`, {
        id: `e${o.n}`,
        base: 0,
        ops: [{ kind: "set_timeline", field: "subject", value: `s${o.n++}` }],
      });
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  });
  const acks = [];
  const arrivals = [];
  for (let i = 0; i < ROUNDS; i++) {
    const begun = performance.now();
    const { seq } = await ask(owner.cookie, "POST", `/api/timelines/${id}/changes`, {
      id: `t${i}`,
      base: 0,
      ops: [{ kind: "set_timeline", field: "subject", value: `s${i}` }],
    });
    acks.push(performance.now() - begun);
    if (!buffer.includes(`"seq":${seq}}`)) await new Promise((done) => waiting.set(seq, done));
    await ask(reader.cookie, "GET", `/api/timelines/${id}/changes?after=${seq - 1}`);
    arrivals.push(performance.now() - begun);
  }
  going = false;
  await Promise.all(writing);
  for (const [share, name] of [
    [0.5, "half of them"],
    [0.99, "99 of 100"],
  ])
    report(
      `change to another browser / to acknowledgement, ${name}`,
      at(arrivals, share) / at(acks, share),
      6,
      `${at(arrivals, share).toFixed(1)} ms against ${at(acks, share).toFixed(1)} ms`,
    );

  // One round of everybody saying where they are, as it comes to the others.
  received = 0;
  for (const [i, p] of present.entries()) await beHere(p, i, id, 2);
  await new Promise((resolve) => setTimeout(resolve, 500));
  const each = received / (HERE - 1) / SAID_AGAIN_S;
  report(`presence of ${HERE}: bytes a second to each / 1 kB`, each / 1_000, 1, `${each.toFixed(0)} B/s`);
  for (const s of streams) s.abort();
}
