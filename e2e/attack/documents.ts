import * as Y from "yjs";
import type { Op } from "../../src/core/change/change";
import { MOST } from "../../src/core/change/limits";
import { toBase64 } from "../../src/core/text/base64";
import { descriptionFrom } from "../../src/core/text/write-description";
import { readWhen } from "../../src/core/time/read/read-when";
import { Actor, school, seedEvents, signUp, waitOfOthers } from "./actor";
import { type Attack, expectThat, LONGEST_WAIT_MS, seconds } from "./attack";

const far = (day: number) => ({
  typed: "10^23 years ago",
  readAs: {
    kind: "moment",
    at: {
      from: { day, second: 0 },
      to: { day: day + 400, second: 0 },
      precision: "year",
      about: false,
      uncertain: false,
    },
  },
  calendar: "gregorian",
  margin: null,
});

const words = (text: string, client: number) => toBase64(descriptionFrom([text], client));

function nested(deep: number): string {
  const doc = new Y.Doc();
  let parent: Y.XmlFragment | Y.XmlElement = doc.getXmlFragment("default");
  for (let n = 0; n < deep; n++) {
    const next = new Y.XmlElement("blockquote");
    parent.insert(0, [next]);
    parent = next;
  }
  return toBase64(Y.encodeStateAsUpdate(doc));
}

/** Very many people who all wrote at the same place: putting them in order takes the square of their number. */
function crowded(count: number): string {
  const updates = Array.from({ length: count }, (_, i) => {
    const doc = new Y.Doc();
    doc.clientID = 1_000 + i;
    const fragment = doc.getXmlFragment("default");
    fragment.insert(0, [new Y.XmlElement("p")]);
    // Before something only this one has seen: to find its place, all others are looked at.
    fragment.insert(0, [new Y.XmlElement("p")]);
    return Y.encodeStateAsUpdate(doc);
  });
  return toBase64(Y.mergeUpdates(updates));
}

export const DOCUMENTS: Attack[] = [
  {
    name: "a date of 10^23 years, by the browser and as it lies in the database",
    async run({ server, sql }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      const sent = await nia.change(t, [{ kind: "add_event", id: "e1", fields: { title: "Far", when: far(3.65e25) } }]);
      expectThat(sent.status === 400, `taken with ${sent.status}`);
      // One day further than the range, and one that lies just within it.
      expectThat(
        (await nia.change(t, [{ kind: "add_event", id: "e2", fields: { when: far(1e13 + 1) } }])).status === 400,
        "just out of range",
      );
      const near = readWhen("27.0 Ga");
      expectThat(
        (await nia.change(t, [{ kind: "add_event", id: "e3", fields: { title: "Oldest", when: near } }])).status ===
          200,
        "the oldest date",
      );
      await sql`update event set "when" = ${sql.json(far(3.65e25))} where timeline_id = ${t}`;
      await sql`delete from thumbnail`;
      const { longest } = await waitOfOthers(server.url, async () => {
        expectThat((await nia.ask("GET", "/")).status === 200, "home");
        expectThat((await nia.ask("GET", `/timelines/${t}/reader`)).status === 200, "the reader's page");
        const kept = (await nia.snapshot(t)).timeline.events[0]!.when;
        expectThat(kept.readAs.kind === "not_understood" && kept.typed === "10^23 years ago", "what was typed");
      });
      expectThat(longest < LONGEST_WAIT_MS, `others waited ${longest} ms`);
      return `others waited ${longest} ms`;
    },
  },
  {
    name: "a chain of 4,000 parts",
    async run({ server, sql, full }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      const chain: Op[] = Array.from({ length: 4_000 }, (_, i) => ({
        kind: "add_event",
        id: `e${i}`,
        fields: {
          title: `Part ${i}`,
          when: readWhen(`${1000 + (i % 900)} - 1950`),
          partOf: i === 0 ? null : `e${i - 1}`,
        },
      }));
      let sent = await nia.change(t, chain);
      // A machine that others use too may have no time for that much: it says so, and is asked again.
      for (let n = 0; n < 4 && sent.status === 503; n++) sent = await nia.change(t, chain);
      expectThat(sent.status === 413 && sent.json.sentence!.includes("20 deep"), `taken with ${sent.status}`);
      await seedEvents(sql, t, full ? 4_000 : 1_200, (i) => (i === 0 ? null : `s${i - 1}`));
      const begun = performance.now();
      const { longest } = await waitOfOthers(server.url, async () => {
        expectThat((await nia.ask("GET", "/")).status === 200, "home");
        expectThat((await nia.ask("GET", `/timelines/${t}/reader`)).status < 504, "the reader's page");
      });
      expectThat(longest < LONGEST_WAIT_MS, `others waited ${longest} ms`);
      return `home and page in ${seconds(performance.now() - begun)}, others waited ${longest} ms`;
    },
  },
  {
    name: "20,000 events: one more, and what others wait while they are drawn",
    async run({ server, sql, full }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      await seedEvents(sql, t, MOST.events.most);
      const more = await nia.change(t, [{ kind: "add_event", id: "e1", fields: {} }]);
      expectThat(more.status === 413 && more.json.failed === "too_much", `taken with ${more.status}`);
      // Drawing all of them for four widths takes a busy machine a while.
      if (!full) await sql`delete from event where timeline_id = ${t} and id > 's2'`;
      const begun = performance.now();
      const { longest } = await waitOfOthers(server.url, async () => {
        expectThat((await nia.ask("GET", "/")).status === 200, "home");
        const page = await nia.ask("GET", `/timelines/${t}/reader`);
        expectThat(page.status === 200, `the reader's page answered ${page.status}`);
        expectThat((await nia.snapshot(t)).timeline.events.length > 1_000, "the editor");
      });
      expectThat(longest < LONGEST_WAIT_MS, `others waited ${longest} ms`);
      return `home, page and editor in ${seconds(performance.now() - begun)}, others waited ${longest} ms`;
    },
  },
  {
    name: "a document that cannot be drawn, at home and on the desk",
    async run({ server, sql }) {
      const nia = await signUp(server.url, "Nia");
      const [good, bad] = [await nia.timeline("The good one"), await nia.timeline("The bad one")];
      await nia.change(bad, [{ kind: "add_event", id: "e1", fields: { title: "Broken" } }]);
      await sql`update event set "when" = '{"typed":"x","readAs":{"kind":"moment"},"calendar":"gregorian","margin":null}' where timeline_id = ${bad}`;
      await sql`delete from thumbnail where timeline_id in ${sql([good, bad])}`;
      for (let n = 0; n < 2; n++) {
        const home = await nia.ask("GET", "/");
        expectThat(home.status === 200 && home.text.includes("The good one"), "home");
        expectThat(home.text.includes("This timeline could not be drawn"), "it is not said");
      }
      // The same on the desk: one group whose words cannot be read, another that is as it was.
      const { teacher, klass, pupil } = await school(server.url);
      const { id: assignment } = await teacher.must<{ id: string }>("POST", "/api/assignments", {
        class: klass,
        title: "Words",
        instructions: "",
        period: readWhen(""),
        requirements: [{ kind: "words", count: 50 }],
        given: [],
        total: 20,
        dueAt: new Date(Date.now() + 86_400_000).toISOString(),
      });
      const groups: string[] = [];
      for (const name of ["Broken", "Whole"]) {
        const one = await pupil(name);
        const { timeline } = await one.must<{ timeline: string }>("POST", `/api/assignments/${assignment}/group`);
        await one.change(timeline, [{ kind: "add_event", id: "e1", fields: { title: "Ferry" } }]);
        groups.push(timeline);
      }
      await sql`update event set description = ${Buffer.from([9, 9, 9])} where timeline_id = ${groups[0]!}`;
      const desk = await teacher.ask("GET", `/assignments/${assignment}`);
      expectThat(desk.status === 200 && desk.text.includes("Whole"), "the desk");
      expectThat(desk.text.split("This timeline could not be checked").length === 2, "it is not said on the desk");
      const page = await nia.ask("GET", `/timelines/${bad}/reader`);
      expectThat(page.status === 500 && page.headers.get("content-type")!.startsWith("text/html"), "no page");
      return "said on its card, the others drawn";
    },
  },
  {
    name: "more than fits: steps, categories, lists, words, nesting",
    async run({ server }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      await nia.change(t, [{ kind: "add_event", id: "e1", fields: {} }]);
      const many = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => make(i));
      const tries: [string, object[], number][] = [
        ["categories", many(MOST.categories.most + 1, (i) => ({ kind: "add_category", id: `c${i}`, fields: {} })), 413],
        [
          "sources",
          many(MOST.items.most + 1, (i) => ({ kind: "add_item", id: `i${i}`, fields: { of: "e1", list: "source" } })),
          413,
        ],
        ["words", [{ kind: "describe", of: "e1", update: words("x ".repeat(MOST.description.most / 2 + 1), 7) }], 413],
        ["nesting", [{ kind: "describe", of: "e1", update: nested(MOST.nested.most + 1) }], 413],
        ["steps", many(MOST.steps.most + 1, (i) => ({ kind: "delete_event", id: `x${i}` })), 400],
        [
          "as many categories as fit",
          many(MOST.categories.most, (i) => ({ kind: "add_category", id: `c${i}`, fields: {} })),
          200,
        ],
        ["as deep as fits", [{ kind: "describe", of: "e1", update: nested(MOST.nested.most) }], 200],
      ];
      for (const [what, ops, status] of tries) {
        const reply = await nia.change(t, ops);
        expectThat(reply.status === status, `${what}: ${reply.status} ${reply.text.slice(0, 200)}`);
        if (status !== 200) expectThat(/[.]$/.test(reply.json.sentence ?? ""), `${what}: no sentence`);
      }
      return `${tries.length} limits, each with its sentence`;
    },
  },
  {
    name: "the same large update a hundred times, and many different ones",
    async run({ server, sql, full }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      await nia.change(t, [{ kind: "add_event", id: "e1", fields: {} }]);
      const update = words("The river rose. ".repeat(5_000), 9);
      for (let n = 0; n < (full ? 100 : 20); n++)
        expectThat((await nia.change(t, [{ kind: "describe", of: "e1", update }])).status === 200, "a repeated update");
      const [log] = await sql<
        { bytes: string }[]
      >`select sum(octet_length(ops::text)) as bytes from change where timeline_id = ${t}`;
      expectThat(Number(log!.bytes) < 2.5 * update.length, `the log has ${log!.bytes} bytes`);
      // Different ones are stored, but no answer holds them all.
      for (let n = 0; n < (full ? 60 : 30); n++) {
        const doc = new Y.Doc();
        doc.clientID = 100 + n;
        doc.getMap("elsewhere").set(`k${n}`, "y".repeat(200_000));
        await nia.change(t, [{ kind: "describe", of: "e1", update: toBase64(Y.encodeStateAsUpdate(doc)) }]);
      }
      let after = 0;
      let largest = 0;
      let asked = 0;
      for (;;) {
        const reply = await nia.ask("GET", `/api/timelines/${t}/changes?after=${after}`);
        const { changes, seq } = reply.json as unknown as { changes: { seq: number }[]; seq: number };
        largest = Math.max(largest, reply.bytes.length);
        asked++;
        if (changes.length === 0) break;
        after = changes.at(-1)!.seq;
        if (after >= seq) break;
      }
      expectThat(largest < 5_000_000, `an answer of ${largest} bytes`);
      return `log ${Math.round(Number(log!.bytes) / 1_000)} kB; catching up in ${asked} answers of at most ${(largest / 1e6).toFixed(1)} MB`;
    },
  },
  {
    name: "an update that takes the square of its size, while others write",
    async run({ server, full }) {
      const update = crowded(full ? 20_000 : 10_000);
      const [nia, obi] = [await signUp(server.url, "Nia"), await signUp(server.url, "Obi")];
      const [t, own] = [await nia.timeline(), await obi.timeline()];
      await nia.change(t, [{ kind: "add_event", id: "e1", fields: {} }]);
      await obi.change(own, [{ kind: "add_event", id: "e1", fields: {} }]);
      const begun = performance.now();
      let wrote = 0;
      const { longest, result } = await waitOfOthers(server.url, async () => {
        const [reply] = await Promise.all([
          nia.change(t, [{ kind: "describe", of: "e1", update }]),
          obi.change(own, [{ kind: "describe", of: "e1", update: words("Two boats out.", 3) }]).then((r) => {
            expectThat(r.status === 200, `another's words: ${r.status}`);
            wrote = performance.now() - begun;
          }),
        ]);
        return reply;
      });
      expectThat([200, 503, 413].includes(result.status), `answered ${result.status}`);
      expectThat(longest < LONGEST_WAIT_MS, `others waited ${longest} ms`);
      return `answered ${result.status} after ${seconds(performance.now() - begun)}; another's words taken in ${seconds(wrote)}, others waited ${longest} ms`;
    },
  },
  {
    name: "a date its text does not say, and a wording without its parts",
    async run({ server, sql }) {
      const nia = new Actor(server.url);
      Object.assign(nia, await signUp(server.url, "Nia"));
      const t = await nia.timeline();
      const honest = readWhen("14 Nov 1872");
      const lie = { ...honest, typed: "some day", readAs: { ...honest.readAs } };
      await nia.change(t, [{ kind: "add_event", id: "e1", fields: { when: lie } }]);
      const [row] = await sql<{ kind: string; typed: string }[]>`
        select "when" -> 'readAs' ->> 'kind' as kind, "when" ->> 'typed' as typed from event where timeline_id = ${t}`;
      expectThat(row!.kind === "not_understood" && row!.typed === "some day", `stored as ${row!.kind}`);
      const at = (honest.readAs as { at: object }).at;
      for (const wording of [
        { kind: "season" },
        { kind: "ago", amount: "1e9", unit: "years" },
        { kind: "part", part: "end" },
        { kind: "edtf" },
      ]) {
        const reply = await nia.change(t, [
          {
            kind: "set_event",
            id: "e1",
            field: "when",
            value: { ...honest, readAs: { kind: "moment", at: { ...at, wording } } },
          },
        ]);
        expectThat(reply.status === 400, `${JSON.stringify(wording)}: ${reply.status}`);
      }
      return "the reader of dates decides; 4 wordings refused";
    },
  },
  {
    name: "a link that holds more than an address",
    async run({ server }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      await nia.change(t, [{ kind: "add_event", id: "e1", fields: {} }]);
      for (const more of [
        { class: "fixed inset-0 z-50" },
        { style: "position:fixed" },
        { target: "_top" },
        { onclick: "x()" },
      ]) {
        const doc = new Y.Doc();
        const p = new Y.XmlElement("paragraph");
        const text = new Y.XmlText();
        text.insert(0, "here", { link: { href: "https://ambrel.example/", ...more } });
        p.insert(0, [text]);
        doc.getXmlFragment("default").insert(0, [p]);
        const reply = await nia.change(t, [
          { kind: "describe", of: "e1", update: toBase64(Y.encodeStateAsUpdate(doc)) },
        ]);
        expectThat(reply.status === 400, `${JSON.stringify(more)}: ${reply.status}`);
      }
      return "4 attributes refused";
    },
  },
];
