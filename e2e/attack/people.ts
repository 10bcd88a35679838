import { readWhen } from "../../src/core/time/read/read-when";
import { Actor, PASSWORD, school, signUp } from "./actor";
import { type Attack, expectThat } from "./attack";

const lie = (from: string, to: string) => {
  const [a, b] = [readWhen(from), readWhen(to)];
  const at = (w: typeof a) => (w.readAs as { at: { from: object; to: object } }).at;
  return { ...a, readAs: { kind: "moment", at: { ...at(a), from: at(b).from, to: at(a).from } } };
};

export const PEOPLE: Attack[] = [
  {
    name: "an answer that begins after it ends, as a right date",
    async run({ server, sql }) {
      const { assignment, pupil, teacher } = await school(server.url);
      const nia = await pupil("Nia");
      const { timeline } = await nia.must<{ timeline: string }>("POST", `/api/assignments/${assignment}/group`);
      const event = (await nia.snapshot(timeline)).timeline.events[0]!;
      const reply = await nia.change(timeline, [
        {
          kind: "set_event",
          id: event.id,
          field: "when",
          value: { ...lie("1800", "1950"), ...(event.when.place ? { place: event.when.place } : {}) },
        },
      ]);
      expectThat(reply.status < 500, `answered ${reply.status}`);
      await nia.must("POST", `/api/timelines/${timeline}/submission`);
      const [s] = await sql<{ content: string }[]>`
        select s.content from submission s join group_work g on g.id = s.group_id where g.timeline_id = ${timeline}`;
      const result = (JSON.parse(s!.content) as { given: { result: string }[] }).given[0]!.result;
      expectThat(result === "wrong" || result === "no_date", `it counts as ${result}`);
      const desk = await teacher.ask("GET", `/assignments/${assignment}`);
      expectThat(desk.status === 200, "the desk");
      return `counts as ${result}`;
    },
  },
  {
    name: "a second class's teacher and a pupil's password",
    async run({ server }) {
      const first = await school(server.url);
      const nia = await first.pupil("Nia");
      const stranger = await school(server.url);
      await nia.must("POST", "/api/classes/join-as-me", { code: stranger.code });
      const page = (await stranger.teacher.ask("GET", `/classes/${stranger.klass}`)).text;
      expectThat(!page.includes(nia.signInName), "the sign-in name is shown");
      const taken = await stranger.teacher.ask("POST", `/api/classes/${stranger.klass}/members/${nia.id}/code`);
      expectThat(taken.status === 404, `a code is given: ${taken.status}`);
      const own = await first.teacher.ask("POST", `/api/classes/${first.klass}/members/${nia.id}/code`);
      expectThat(own.status === 200, "their own teacher cannot");
      expectThat((await nia.ask("GET", "/")).text.includes("has made a code"), "nobody tells the pupil");
      const anew = new Actor(server.url);
      await anew.must("POST", "/api/session/code", {
        name: nia.signInName,
        code: own.json.code,
        password: "three-old-boats",
      });
      expectThat((await nia.ask("GET", "/api/account/file")).status === 401, "the old session goes on");
      expectThat(
        (await anew.ask("GET", "/")).text.includes("A new password was set"),
        "nobody tells who signs in next",
      );
      return "no code, display name only; told at the next sign-in";
    },
  },
  {
    name: "300 passwords at once, and one wrong guess a minute",
    async run({ server, sql }) {
      const owner = await signUp(server.url, "Owner");
      const guesses = await Promise.all(
        Array.from({ length: 300 }, (_, i) =>
          new Actor(server.url).ask("POST", "/api/session", { name: owner.email, password: `guess-${i}-boats` }),
        ),
      );
      const tried = guesses.filter((g) => g.json.failed === "wrong_password").length;
      // Five are free; then each waits twice as long as the one before, also where all of it takes a while.
      expectThat(tried <= 10, `${tried} were tried`);
      // However long that took: just after the last of them another browser waits, the owner at one that knows them does not.
      await sql`update sign_in_attempt set last_at = now()`;
      const outside = await new Actor(server.url).ask("POST", "/api/session", {
        name: owner.email,
        password: PASSWORD,
      });
      expectThat(outside.status === 429, "elsewhere it is not slowed");
      const here = await owner.ask("POST", "/api/session", { name: owner.email, password: PASSWORD });
      expectThat(here.status === 200, `the owner is kept out: ${here.status}`);
      await sql`update sign_in_attempt set last_at = now() - interval '2 hours'`;
      return `${tried} of 300 were tried; the owner got in from a known browser`;
    },
  },
  {
    name: "one password at many accounts, and class codes one after the other",
    async run({ server }) {
      if (process.env.ATTACK_RATES !== "1") return "see the run with the usual rates";
      const spray = async (make: (i: number) => Promise<{ status: number }>) => {
        for (let i = 0; i < 400; i++) if ((await make(i)).status === 429) return i;
        return 400;
      };
      const nobody = new Actor(server.url);
      const names = await spray((i) =>
        nobody.ask("POST", "/api/session", { name: `nia-${i}@x.example`, password: "summer2026" }),
      );
      const codes = await spray((i) =>
        nobody.ask("POST", "/api/classes/join", { code: `AAAA${i}`, displayName: "N", password: "three-old-boats" }),
      );
      const ups = await spray((i) =>
        nobody.ask("POST", "/api/account", {
          displayName: "N",
          email: `s${i}-${Date.now()}@x.example`,
          password: "three-old-boats",
        }),
      );
      expectThat(names >= 40 && names < 400, `passwords: ${names}`);
      expectThat(codes >= 40 && codes < 400, `codes: ${codes}`);
      expectThat(ups >= 40 && ups < 400, `sign-ups: ${ups}`);
      return `slowed after ${names} accounts, ${codes} codes, ${ups} sign-ups from one address`;
    },
  },
  {
    name: "passwords that are tried first",
    async run({ server }) {
      const nobody = new Actor(server.url);
      for (const password of [
        "password",
        "12345678",
        "iloveyou",
        "Princess1",
        "qwertyuiop",
        "football1!",
        "aaaaaaaa",
        "        ",
        "Ambrosia",
      ]) {
        const reply = await nobody.ask("POST", "/api/account", {
          displayName: "Ambrosia",
          email: `w${Date.now()}@x.example`,
          password,
        });
        expectThat(
          reply.status === 400 && String(reply.json.failed).startsWith("password_"),
          `“${password}”: ${reply.status}`,
        );
      }
      return "9 refused";
    },
  },
  {
    name: "sessions that outlive a password, a sign-out, an account",
    async run({ server }) {
      const nia = await signUp(server.url, "Nia");
      const other = new Actor(server.url);
      await other.must("POST", "/api/session", { name: nia.email, password: PASSWORD });
      const stream = await fetch(`${server.url}/api/live`, { headers: { cookie: other.cookie } });
      const ended = (async () => {
        let text = "";
        for await (const part of stream.body as unknown as AsyncIterable<Uint8Array>)
          text += Buffer.from(part).toString();
        return text;
      })();
      expectThat(
        (await nia.ask("PUT", "/api/account/password", { password: "wrong-guess", next: "three-old-boats" })).status ===
          403,
        "without the password",
      );
      expectThat(
        (await nia.ask("PUT", "/api/account/password", { password: PASSWORD, next: "three-old-boats" })).status === 200,
        "the change",
      );
      expectThat((await other.ask("GET", "/api/account/file")).status === 401, "the other session goes on");
      const said = await Promise.race([ended, new Promise<string>((r) => setTimeout(() => r("open"), 10_000))]);
      expectThat(said.includes("signed_out"), "its stream goes on");
      expectThat((await nia.ask("GET", "/api/account/file")).status === 200, "one's own session has ended");
      expectThat(
        (await nia.ask("DELETE", "/api/account", { password: PASSWORD })).status === 403,
        "deleted with the old password",
      );
      expectThat(
        (await nia.ask("DELETE", "/api/account", { password: "three-old-boats" })).status === 200,
        "the deletion",
      );
      // A week to change one's mind: until then everything is as it was.
      expectThat((await nia.ask("GET", "/api/account/file")).status === 200, "gone at once");
      const leaving = (await nia.ask("GET", "/api/account/leaving")).json as { leaving?: { deleteAt: string | null } };
      const days = (Date.parse(leaving.leaving?.deleteAt ?? "") - Date.now()) / 86_400_000;
      expectThat(days > 6.9 && days < 7.1, "deleted at another time than in a week");
      return "session, stream and account ended";
    },
  },
  {
    name: "an assignment begun eight times at once",
    async run({ server, sql }) {
      const { assignment, pupil } = await school(server.url);
      const nia = await pupil("Nia");
      const begun = await Promise.all(
        Array.from({ length: 8 }, () => nia.ask("POST", `/api/assignments/${assignment}/group`)),
      );
      expectThat(begun.filter((b) => b.status === 200).length === 1, begun.map((b) => b.status).join());
      const [count] = await sql<{ groups: number; timelines: number }[]>`
        select (select count(*)::int from group_work where assignment_id = ${assignment}) as groups,
          (select count(*)::int from editor where account_id = ${nia.id}) as timelines`;
      expectThat(count!.groups === 1 && count!.timelines === 1, JSON.stringify(count));
      // Deleted, it can be begun again.
      const { timeline } = begun.find((b) => b.status === 200)!.json as { timeline: string };
      await nia.must("PATCH", `/api/timelines/${timeline}`, { deleted: true });
      expectThat(
        (await nia.ask("POST", `/api/assignments/${assignment}/group`)).status === 200,
        "not again after deleting",
      );
      return "one group, one timeline; again after deleting";
    },
  },
  {
    name: "a removed editor and the old link; a frozen copy of what is deleted",
    async run({ server }) {
      const [nia, obi] = [await signUp(server.url, "Nia"), await signUp(server.url, "Obi")];
      const t = await nia.timeline();
      await nia.change(t, [{ kind: "add_event", id: "e1", fields: { title: "Ferry" } }]);
      const { token } = await nia.must<{ token: string }>("POST", `/api/timelines/${t}/invitation`, { renew: false });
      await obi.must("POST", `/api/join/${token}`);
      await nia.must("DELETE", `/api/timelines/${t}/editors/${obi.id}`);
      expectThat(
        (await obi.ask("POST", `/api/join/${token}`)).json.failed === "removed_before",
        "back by the old link",
      );
      const { token: next } = await nia.must<{ token: string }>("POST", `/api/timelines/${t}/invitation`, {
        renew: true,
      });
      expectThat((await obi.ask("POST", `/api/join/${next}`)).status === 200, "not by the new one");
      const { copy } = await nia.must<{ copy: { address: string } }>("POST", `/api/timelines/${t}/frozen-copies`);
      await nia.must("PATCH", `/api/timelines/${t}`, { deleted: true });
      expectThat((await obi.ask("GET", `/f/${copy.address}`)).status === 200, "the copy has gone with the timeline");
      expectThat(
        (await obi.ask("DELETE", `/api/timelines/${t}/frozen-copies/${copy.address}`)).status === 404,
        "an editor closes it",
      );
      expectThat((await nia.ask("GET", "/account")).text.includes(copy.address), "it is not listed");
      expectThat(
        (await nia.ask("DELETE", `/api/timelines/${t}/frozen-copies/${copy.address}`)).status === 200,
        "its owner cannot close it",
      );
      expectThat((await obi.ask("GET", `/f/${copy.address}`)).status === 410, "it is still there");
      return "link refused; copy closed by its owner";
    },
  },
];
