import sharp from "sharp";
import * as Y from "yjs";
import { toBase64 } from "../../src/core/text/base64";
import { readWhen } from "../../src/core/time/read/read-when";
import { type Actor, school, signUp } from "./actor";
import { type Attack, expectThat } from "./attack";

const SCRIPT = `"'><img src=x onerror=window.__ran=1><script>window.__ran=1</script><svg onload=window.__ran=1>{{7*7}}`;
const LEAD = "javascript:window.__ran=1";

/** A description that tries what a document may hold: scripts as text, addresses, elements nobody knows. */
function described(): string {
  const doc = new Y.Doc();
  doc.clientID = 4;
  const p = new Y.XmlElement("paragraph");
  const text = new Y.XmlText();
  text.insert(0, SCRIPT);
  text.insert(0, "a link", { link: { href: LEAD } });
  p.insert(0, [text]);
  const script = new Y.XmlElement("script");
  script.insert(0, [new Y.XmlText("window.__ran=1")]);
  const image = new Y.XmlElement("img");
  image.setAttribute("src", "x");
  image.setAttribute("onerror", "window.__ran=1");
  doc.getXmlFragment("default").insert(0, [p, script, image]);
  return toBase64(Y.encodeStateAsUpdate(doc));
}

async function fill(who: Actor, t: string): Promise<void> {
  const png = await sharp({ create: { width: 20, height: 20, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  const upload = await who.send(t, png);
  const { media } = await who.must<{ media: { id: string } }>("POST", `/api/timelines/${t}/uploads/${upload}`);
  const short = SCRIPT.slice(0, 110);
  const reply = await who.change(t, [
    { kind: "set_timeline", field: "title", value: SCRIPT },
    { kind: "set_timeline", field: "subject", value: short },
    { kind: "set_timeline", field: "byline", value: short },
    { kind: "set_timeline", field: "firstView", value: short },
    { kind: "set_timeline", field: "marks", value: { kind: "list", text: SCRIPT } },
    { kind: "add_category", id: "c1", fields: { name: SCRIPT.slice(0, 60), place: "a0" } },
    {
      kind: "add_event",
      id: "e1",
      fields: { title: SCRIPT, shortTitle: short, when: readWhen("1872"), category: "c1" },
    },
    { kind: "add_event", id: "e2", fields: { title: SCRIPT, when: readWhen(`1604 ${SCRIPT.slice(0, 100)}`) } },
    { kind: "add_item", id: "i1", fields: { of: "e1", list: "source", text: SCRIPT, address: LEAD } },
    {
      kind: "add_item",
      id: "i2",
      fields: { of: "e1", list: "link", text: SCRIPT, address: `https://x.example/"${SCRIPT}` },
    },
    {
      kind: "add_item",
      id: "i3",
      fields: {
        of: "e1",
        list: "media",
        media: media.id,
        kind: "picture",
        text: SCRIPT,
        credit: SCRIPT,
        licence: short,
        address: LEAD,
      },
    },
    { kind: "describe", of: "e1", update: described() },
    { kind: "describe", of: "introduction", update: described() },
  ]);
  if (reply.status !== 200) throw new Error(reply.text);
}

export const WORDS: Attack[] = [
  {
    name: "scripts in every field, in a real browser",
    async run({ server, browser }) {
      const { teacher, klass, assignment, pupil } = await school(server.url);
      await teacher.must("PATCH", "/api/account", { displayName: SCRIPT.slice(0, 60) });
      const { id: evil } = await teacher.must<{ id: string }>("POST", "/api/assignments", {
        class: klass,
        title: SCRIPT.slice(0, 190),
        instructions: SCRIPT,
        period: readWhen(""),
        requirements: [{ kind: "categories", names: [SCRIPT.slice(0, 60)] }],
        given: [{ title: SCRIPT, when: readWhen("14 Nov 1872"), locked: true }],
        total: 20,
        dueAt: new Date(Date.now() + 86_400_000).toISOString(),
      });
      const nia = await pupil(SCRIPT.slice(0, 50));
      const { timeline } = await nia.must<{ timeline: string }>("POST", `/api/assignments/${evil}/group`);
      await fill(nia, timeline);
      await nia.must("POST", `/api/timelines/${timeline}/submission`);
      const own = await signUp(server.url, "Own");
      const t = await own.timeline();
      await fill(own, t);
      const { publication } = await own.must<{ publication: { address: string } }>(
        "PUT",
        `/api/timelines/${t}/publication`,
        { visibility: "everybody", fresh: true },
      );
      const { copy } = await own.must<{ copy: { address: string } }>("POST", `/api/timelines/${t}/frozen-copies`);
      const { work } = await nia.must<{ work: { submission: { id: string } } }>(
        "GET",
        `/api/timelines/${timeline}/changes?after=0`,
      );
      await teacher.must("PUT", `/api/submissions/${work.submission.id}/mark`, {
        points: 3,
        comment: SCRIPT,
        comments: [{ event: "e1", text: SCRIPT }],
      });
      await teacher.must("POST", `/api/submissions/${work.submission.id}/return`);

      let looked = 0;
      const elsewhere: string[] = [];
      const look = async (
        who: Actor,
        paths: string[],
        act?: (page: import("@playwright/test").Page) => Promise<void>,
      ) => {
        const context = await browser.newContext({ baseURL: server.url });
        await context.addCookies(
          who.cookie
            .split("; ")
            .filter(Boolean)
            .map((c) => ({ name: c.split("=")[0]!, value: c.split("=")[1]!, url: server.url })),
        );
        const page = await context.newPage();
        page.on("request", (r) => {
          if (!r.url().startsWith(server.url) && !/^(data|blob):/.test(r.url())) elsewhere.push(r.url());
        });
        page.on("dialog", (d) => elsewhere.push(`dialog: ${d.message()}`));
        for (const path of paths) {
          await page.goto(path);
          await page.waitForLoadState("networkidle").catch(() => {});
          await act?.(page);
          expectThat(
            (await page.evaluate(() => (window as { __ran?: number }).__ran)) === undefined,
            `a script ran at ${path}`,
          );
          expectThat(
            (await page.locator("a[href^='javascript:' i]").count()) === 0,
            `an address at ${path} runs a script`,
          );
          looked++;
        }
        await context.close();
      };
      await look(own, [
        "/",
        `/timelines/${t}/reader`,
        "/account",
        "/published",
        `/t/${publication.address}`,
        `/f/${copy.address}`,
      ]);
      await look(own, [`/timelines/${t}`], async (page) => {
        await page.locator("[data-row='e1'] input").first().waitFor();
        await page
          .locator("[data-row='e1']")
          .getByRole("button", { name: /^More about/ })
          .click();
        await page.getByRole("menuitem", { name: "Open the event sheet" }).click();
        await page.getByRole("complementary").getByRole("textbox", { name: "Title", exact: true }).waitFor();
        const link = page.locator(".prose-fastigo a").first();
        await link.waitFor();
        expectThat(!(await link.getAttribute("href")), "the editor's link leads somewhere");
      });
      await look(nia, ["/", `/timelines/${timeline}`, `/classes/${klass}`, `/assignments/${evil}`]);
      await look(teacher, [
        "/",
        `/classes/${klass}`,
        `/assignments/${evil}?s=${work.submission.id}`,
        `/assignments/${assignment}`,
        `/submissions/${work.submission.id}/reader`,
      ]);
      expectThat(elsewhere.length === 0, `asked elsewhere: ${elsewhere.slice(0, 3).join()}`);
      return `${looked} pages, no script, nothing asked elsewhere`;
    },
  },
  {
    name: "a timeline of 5,000 events in the editor",
    async run({ server, sql, browser }) {
      const { seedEvents, waitOfOthers } = await import("./actor");
      const own = await signUp(server.url, "Own");
      const t = await own.timeline();
      await seedEvents(sql, t, 5_000);
      const html = (await own.ask("GET", `/timelines/${t}`)).bytes.length;
      const packed = (await own.ask("GET", `/api/timelines/${t}`)).bytes.length;
      const context = await browser.newContext({ baseURL: server.url });
      await context.addCookies(
        own.cookie.split("; ").map((c) => ({ name: c.split("=")[0]!, value: c.split("=")[1]!, url: server.url })),
      );
      const page = await context.newPage();
      await page.goto("/");
      const { longest, result } = await waitOfOthers(server.url, async () => {
        const begun = performance.now();
        await page.goto(`/timelines/${t}`);
        await page.getByTestId("next-event").waitFor();
        await page.locator("[data-row]").first().waitFor();
        return performance.now() - begun;
      });
      const rows = await page.locator("[data-row]").count();
      await context.close();
      expectThat(html < 300_000, `the page has ${html} bytes`);
      expectThat(rows < 200, `${rows} rows are drawn`);
      expectThat(result < 90_000, `opened in ${result} ms`);
      return `opened in ${(result / 1_000).toFixed(2)} s: page ${Math.round(html / 1_000)} kB, data ${Math.round(packed / 1_000)} kB, ${rows} rows; others waited ${longest} ms`;
    },
  },
];
