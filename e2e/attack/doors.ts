import { ROUTES } from "./routes";
import { asIs, flood, raw, school, signUp } from "./actor";
import { type Attack, expectThat, memoryMb, severalAtOnce } from "./attack";

/** What stands in paths and queries where an id or a number is meant. */
const ODD = [
  "%00",
  "a%00b",
  "%0a",
  "1e12",
  "1000000000000000",
  "-1",
  "NaN",
  "%F0%9F%8C%89",
  "..%2f..%2fetc",
  "'%20or%201=1",
  "x".repeat(300),
  "%E0%A4%A",
];
const QUERIES = ["after", "before", "width", "height", "to", "s", "as", "code", "board", "view"];

export const DOORS: Attack[] = [
  {
    name: "odd ids, numbers and percent-signs in every address",
    async run({ server }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      let asked = 0;
      const wrong: string[] = [];
      const ask = async (first: string) => {
        asked++;
        const [method, path] = first.split(" ") as [string, string];
        const status = await asIs(server.url, method, path, nia.cookie);
        if (status === 0 || status >= 500) wrong.push(`${first}: ${status}`);
      };
      // Each of them once: where an address names one thing only, the second way of asking is the same for all that is odd.
      const asks = new Set<string>();
      for (const [method, route] of ROUTES) {
        if (route === "/api/live" || (method === "DELETE" && route.startsWith("/api/account"))) continue;
        for (const odd of ODD) {
          if (route.includes("[")) {
            asks.add(`${method} ${route.replaceAll(/\[\w+\]/g, odd)}`);
            asks.add(`${method} ${route.replace("[id]", t).replaceAll(/\[\w+\]/g, odd)}`);
          }
        }
      }
      for (const odd of ODD) {
        for (const name of QUERIES)
          for (const path of [`/api/timelines/${t}/changes`, `/api/timelines/${t}/history`])
            asks.add(`GET ${path}?${name}=${odd}`);
        // A page refuses nothing of its query, and so reads all of it at once.
        for (const path of ["/", "/sign-in", `/timelines/${t}`])
          asks.add(`GET ${path}?${QUERIES.map((name) => `${name}=${odd}`).join("&")}`);
      }
      const tasks = [...asks].map((line) => () => ask(line));
      await severalAtOnce(tasks, 8);
      expectThat(wrong.length === 0, wrong.slice(0, 5).join("\n"));
      return `${asked} requests, none answered 5xx`;
    },
  },
  {
    name: "TRACE, a method nobody knows, an address of 10,000 characters",
    async run({ server }) {
      for (const [line, least] of [
        ["TRACE / HTTP/1.1", 400],
        ["TRACE /api/timelines HTTP/1.1", 400],
        ["PROPFIND / HTTP/1.1", 400],
        [`GET /${"x".repeat(10_000)} HTTP/1.1`, 400],
        ["GET /%zz HTTP/1.1", 400],
        ["GET /%00 HTTP/1.1", 400],
        ["GET /sign-in?to=%00 HTTP/1.1", 400],
      ] as const) {
        const answer = await raw(server.url, `${line}\r\nHost: localhost\r\nConnection: close\r\n\r\n`);
        const status = Number(answer.split(" ")[1]);
        expectThat(status >= least && status < 500, `${line.slice(0, 40)}: ${answer.slice(0, 60)}`);
      }
      return "7 refused with 4xx";
    },
  },
  {
    name: "control characters and half characters in every text",
    async run({ server, sql }) {
      const { teacher, klass, assignment } = await school(server.url);
      const t = await teacher.timeline();
      const bad = ["a\u0000b", "\ud800", "x\udc00", "bell\u0007", "\u009f"];
      const bodies: [string, string, (text: string) => unknown][] = [
        ["POST", "/api/timelines", (title) => ({ title, subject: "" })],
        ["POST", "/api/account", (displayName) => ({ displayName, email: "x@y.example", password: "over-the-ambrel" })],
        ["POST", "/api/session", (name) => ({ name, password: "x" })],
        ["POST", "/api/session", (password) => ({ name: "x", password })],
        ["PATCH", "/api/account", (displayName) => ({ displayName })],
        ["POST", "/api/classes", (name) => ({ name })],
        ["POST", `/api/timelines/${t}/uploads`, (name) => ({ name, size: 3 })],
        ["POST", `/api/timelines/${t}/pictures`, (address) => ({ address })],
        [
          "POST",
          `/api/timelines/${t}/changes`,
          (title) => ({ id: "c", base: 0, ops: [{ kind: "add_event", id: "e", fields: { title } }] }),
        ],
        ["POST", `/api/timelines/${t}/changes`, (id) => ({ id, base: 0, ops: [] })],
        [
          "POST",
          `/api/timelines/${t}/changes`,
          (key) => ({ id: "c", base: 0, ops: [{ kind: "add_event", id: "e", fields: { [key]: 1 } }] }),
        ],
        ["PATCH", `/api/classes/${klass}`, (code) => ({ code })],
      ];
      for (const [method, path, body] of bodies)
        for (const text of bad) {
          const reply = await teacher.ask(method, path, body(text));
          expectThat(
            reply.status === 400 && /[.]$/.test(reply.json.sentence ?? ""),
            `${method} ${path}: ${reply.status}`,
          );
        }
      // The front page with what an older version may have stored.
      const [version] = await sql<{ id: string }[]>`select id from assignment where id = ${assignment}`;
      expectThat(version !== undefined, "the class");
      expectThat((await teacher.ask("GET", "/published")).status === 200, "the list");
      return `${bodies.length * bad.length} bodies refused with a sentence`;
    },
  },
  {
    name: "bodies without a length that do not end",
    async run({ server, full }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      const upload = await nia.must<{ upload: string }>("POST", `/api/timelines/${t}/uploads`, {
        name: "x",
        size: 1_048_576,
      });
      const size = (full ? 1_500 : 300) * 1_048_576;
      const before = memoryMb(server.pid());
      let most = before;
      const watch = setInterval(() => {
        most = Math.max(most, memoryMb(server.pid()));
      }, 50);
      const sent: number[] = [];
      for (const [path, headers] of [
        ["/api/session", {}],
        ["/", {}],
        ["/sign-in", { "Next-Action": "x".repeat(40) }],
        [`/api/timelines/${t}/changes`, { Cookie: nia.cookie }],
        [`/api/timelines/${t}/uploads/${upload.upload}/0`, { Cookie: nia.cookie }],
      ] as const)
        sent.push((await flood(server.url, path, size, headers)).sent);
      clearInterval(watch);
      const grown = most - before;
      expectThat(grown < 250, `memory grew by ${grown} MB`);
      expectThat((await nia.ask("GET", "/api/health")).status === 200, "gone");
      return `of ${size / 1_048_576} MB each, at most ${Math.round(Math.max(...sent) / 1_048_576)} MB went out; memory grew by ${grown} MB`;
    },
  },
  {
    name: "a way out after signing in, and a picture in the house",
    async run({ server }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      for (const to of [
        "//evil.example",
        "/\\evil.example",
        "/%09/evil.example",
        "/%0a/evil.example",
        "https://evil.example",
        "/x/..//evil.example",
        "/.//evil.example",
      ]) {
        const page = await fetch(`${server.url}/sign-in?to=${to.includes("%") ? to : encodeURIComponent(to)}`);
        const text = await page.text();
        expectThat(
          page.status === 400 ||
            !/evil\.example/.test(
              text
                .replaceAll(/"to":"[^"]*"|searchParams[^\n]*/g, "")
                .match(/href="[^"]*"/g)
                ?.join() ?? "",
            ),
          `${to} leads away`,
        );
      }
      for (const address of [
        "http://[::127.0.0.1]:1/x.png",
        "http://[::ffff:127.0.0.1]:1/x.png",
        "http://[64:ff9b::7f00:1]:1/x.png",
        "http://127.1:1/x.png",
        "http://2130706433:1/x.png",
        "http://0:1/x.png",
        "http://169.254.169.254/latest",
        "http://[fd00::1]/x.png",
      ]) {
        const reply = await nia.ask("POST", `/api/timelines/${t}/pictures`, { address });
        expectThat(
          reply.json.failed === "address_private" || reply.json.failed === "address_malformed",
          `${address}: ${reply.json.failed}`,
        );
      }
      const named = await nia.ask("POST", `/api/timelines/${t}/pictures`, {
        address: `${process.env.E2E_PICTURE_SITE ?? server.url}/%E0%A4%A.png`,
      });
      expectThat(
        named.status < 500 || named.json.failed === "address_unreachable",
        `bad percent-sign: ${named.status}`,
      );
      return "7 ways out, 8 addresses in the house";
    },
  },
];
