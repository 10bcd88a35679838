// The bench of classes: the teacher's page of all of them, the desk while students write and while they do not, thirty groups that hand
// in within ten seconds, and close wording among many works.
import { bundle } from "./machine.mjs";
import { say } from "./say.mjs";

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const CLASSES = 5;
const STUDENTS = 30;
const WORKS = 150;
const WORDS = 1_500;

/** Texts of made-up words, as often as in a language: few often, many seldom. */
function essays(count, words) {
  let a = 7;
  const next = () => (a = (Math.imul(a, 1_664_525) + 1_013_904_223) >>> 0) / 4_294_967_296;
  const word = () => `w${Math.floor(4_000 ** next()).toString(36)}`;
  return Array.from({ length: count }, (_, i) => ({
    id: `work ${i}`,
    group: String(i),
    text: Array.from({ length: words }, word).join(" "),
  }));
}

/** `ask` asks the server as the teacher of the bench; `sql` is its database. */
export async function benchClasses(report, base, cookie, ask, sql, events) {
  say("\nClasses (five of thirty)");
  const due = new Date(Date.now() + 86_400_000).toISOString();
  const pupils = [];
  let first = "";
  for (let c = 0; c < CLASSES; c++) {
    const { id } = await ask("POST", "/api/classes", { name: `Class ${c}` });
    const assignment = await ask("POST", "/api/assignments", {
      class: id,
      title: "Crossing project",
      instructions: "",
      period: { typed: "", readAs: { kind: "undated" }, calendar: "gregorian", margin: null },
      requirements: [{ kind: "events", count: 24 }, { kind: "sources" }, { kind: "words", count: 60 }],
      given: [],
      total: 20,
      dueAt: due,
      options: { grouping: "teacher" },
    });
    first ||= assignment.id;
    const { slips } = await ask("POST", `/api/classes/${id}/roster`, {
      entries: Array.from({ length: STUDENTS }, (_, n) => ({ displayName: `Pupil ${c} ${n}`, note: "" })),
    });
    const rows = await sql`
      select a.id, a.sign_in_name from class_member m join account a on a.id = m.account_id where m.class_id = ${id}`;
    await ask("POST", `/api/assignments/${assignment.id}/groups`, { groups: rows.map((r) => [r.id]) });
    if (c === 0) pupils.push(...slips);
  }
  // The first class comes in, and writes.
  const made = events(12);
  const sessions = [];
  for (const p of pupils) {
    const answer = await fetch(`${base}/api/session/code`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ name: p.signInName, code: p.code, password: "three-blue-ferries" }),
    });
    if (!answer.ok) throw new Error(`A pupil of the bench could not come in: ${answer.status}`);
    const own = answer.headers.get("set-cookie").split(";")[0];
    const [row] = await sql`
      select g.timeline_id as id from group_member m join group_work g on g.id = m.group_id
      join account a on a.id = m.account_id where lower(a.sign_in_name) = ${p.signInName} and m.assignment_id = ${first}`;
    sessions.push({ cookie: own, timeline: row.id });
  }
  const as = (s, method, path, body) =>
    fetch(base + path, {
      method,
      headers: { cookie: s.cookie, "Content-Type": "application/json" },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
  for (const s of sessions)
    await as(s, "POST", `/api/timelines/${s.timeline}/changes`, {
      id: "start",
      base: 0,
      ops: made.map((e) => ({ kind: "add_event", id: e.id, fields: { title: e.title, when: e.when } })),
    });

  const page = async (path) => {
    const begun = performance.now();
    const answer = await fetch(base + path, { headers: { cookie } });
    const text = await answer.text();
    if (!answer.ok || text.length < 1_000) throw new Error(`${path} answered ${answer.status}`);
    return performance.now() - begun;
  };
  const often = async (path, n = 12) => {
    await page(path);
    const times = [];
    for (let i = 0; i < n; i++) times.push(await page(path));
    return middle(times);
  };
  const home = await often("/teaching");
  report("the teacher's page of five classes of thirty / 100 ms", home / 100, 1, `${home.toFixed(0)} ms`);

  const quiet = await often(`/assignments/${first}`);
  let writing = true;
  let sent = 0;
  // Two write on, as fast as somebody types who types fast: a change in a third of a second each.
  const typing = sessions.slice(0, 2).map(async (s, k) => {
    for (let n = 0; writing; n++) {
      await as(s, "POST", `/api/timelines/${s.timeline}/changes`, {
        id: `t${k}-${n}`,
        base: 1 + n,
        ops: [{ kind: "set_event", id: made[0].id, field: "title", value: `Title ${n}` }],
      });
      sent++;
      await new Promise((r) => setTimeout(r, 330));
    }
  });
  const busy = await often(`/assignments/${first}`);
  writing = false;
  await Promise.all(typing);
  report(
    "the desk while two of thirty write / while nobody does",
    busy / quiet,
    2,
    `${busy.toFixed(0)} ms against ${quiet.toFixed(0)} ms, ${sent} changes`,
  );

  // All hand in within ten seconds.
  const times = [];
  const begun = performance.now();
  await Promise.all(
    sessions.map(async (s, i) => {
      await new Promise((r) => setTimeout(r, (i * 10_000) / sessions.length));
      const from = performance.now();
      const answer = await as(s, "POST", `/api/timelines/${s.timeline}/submission`);
      if (!answer.ok) throw new Error(`Handing in answered ${answer.status}`);
      times.push(performance.now() - from);
    }),
  );
  const took = (performance.now() - begun) / 1000;
  report(
    "thirty hand in within ten seconds: the slowest / 1 s",
    Math.max(...times) / 1000,
    1,
    `middle ${middle(times).toFixed(0)} ms, all in ${took.toFixed(1)} s`,
  );

  const { closeWording } = await import(await bundle("src/core/check/close-wording.ts", "bench-wording"));
  const texts = essays(WORKS, WORDS);
  // A passage of each stands in another: those are found, and nothing slows down.
  for (let i = 0; i + 1 < texts.length; i += 2)
    texts[i + 1].text += ` ${texts[i].text.split(" ").slice(100, 140).join(" ")}`;
  const from = performance.now();
  const found = closeWording(texts);
  const ms = performance.now() - from;
  report(
    `close wording of ${WORKS} works of ${WORDS} words / 5 s`,
    ms / 5_000,
    1,
    `${ms.toFixed(0)} ms, ${found.filter((f) => f.words >= 40).length} of ${WORKS / 2} planted passages found`,
  );
}
