// Takes the pictures in docs/screenshots from the demo data of a running server.
// usage: npm run screenshots -- [ADDRESS] [NAME ...]
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./lib/chromium.mjs";
import { ROOT } from "./lib/machine.mjs";

const address = process.argv[2]?.startsWith("http") ? process.argv[2] : "http://localhost:3000";
const wanted = process.argv.slice(2).filter((a) => !a.startsWith("http"));
const folder = process.env.SHOTS ?? join(ROOT, "docs", "screenshots");
mkdirSync(folder, { recursive: true });

/** Notes as people have them, some of which are there already. */
const NOTES = `Date;Event;Theme;Width
14.3.1811;Stone bridge begun;Crossing;
c. 1840;Steam mill;Trade;4 m
03/04/1872;Winter relief fund;Town life;
31/02/1889;Viaduct tested;Crossing;
Nov 1872;Flood enquiry opens;Weather & water;
spring 1783;Two arches lost;Weather & water;
1797;The Ambrel Post, first issue;Town life;
27 Sep 1931;Last ferry crossing;Crossing;
;A bridge for carts is talked of;;
`;
const LAPTOP = { width: 1280, height: 800 };
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });

const contexts = new Map();
async function pageFor(size, person) {
  const key = `${size.width}${person}`;
  if (!contexts.has(key)) {
    const context = await browser.newContext({ viewport: size, reducedMotion: "reduce", locale: "en-GB" });
    if (person) {
      const page = await context.newPage();
      await page.goto(`${address}/sign-in`);
      const student = person.startsWith("student:") ? await signInNameOf(person.slice(8)) : null;
      await page.getByLabel("E-mail or sign-in name").fill(student ?? `${person}@hollinbank.example`);
      await page.getByLabel("Password").fill("over-the-ambrel");
      await page.getByRole("button", { name: "Sign in" }).click();
      await page.waitForURL(`${address}/`);
      // Whatever language somebody has chosen in the demo, the pictures are in English.
      await page.request.put(`${address}/api/language`, { data: { language: "en" } });
      await page.goto(`${address}/`);
      await page.getByRole("heading", { name: "Your timelines" }).waitFor();
      await page.close();
    }
    contexts.set(key, context);
  }
  return contexts.get(key).newPage();
}

async function openTimeline(page, title) {
  await page.goto(address);
  await page.getByRole("link", { name: title, exact: true }).click();
  await page.getByTestId("chart").waitFor();
}

async function openClass(page) {
  await page.goto(address);
  await page.getByRole("link", { name: "History 8B" }).click();
  await page.getByRole("heading", { name: "History 8B" }).waitFor();
}

async function openWork(page) {
  await page.goto(address);
  await page
    .getByRole("complementary", { name: "Classes and work" })
    .getByRole("link", { name: "Crossing project" })
    .click();
  await page.getByTestId("chart").waitFor();
}

/** The sign-in name of a student, as their teacher sees it. */
async function signInNameOf(name) {
  const page = await pageFor(LAPTOP, "ward");
  await openClass(page);
  const text = await page
    .getByRole("listitem")
    .filter({ hasText: new RegExp(`${name.toLowerCase()}-\\d`) })
    .innerText();
  await page.close();
  return text.match(/[a-z]+-\d+/)[0];
}

/** The published timeline, from the page that lists it. */
async function openPublished(p) {
  await p.goto(address);
  await p.getByRole("link", { name: "How the Ambrel was crossed" }).click();
}

/** One timeline in every look, on one sheet. */
async function looksOnOneSheet(p) {
  await openTimeline(p, "How the Ambrel was crossed");
  const draft = p.url().split(/[?#]/)[0];
  const looks = ["slate", "limestone", "brick", "oak", "glass", "plaster", "copper", "concrete", "iron"];
  const shots = [];
  for (const look of looks) {
    // Another look is another page: the address of a part alone would not fetch it.
    await p.goto("about:blank");
    await p.goto(`${draft}/reader?look=${look}#chart`);
    await p.locator(".chart-live button").first().waitFor();
    await p.evaluate(() => document.fonts.ready);
    await p.waitForTimeout(500);
    shots.push([look, (await p.locator(".chart-live").screenshot()).toString("base64")]);
  }
  await p.goto("about:blank");
  await p.setContent(
    `<style>body{margin:0;padding:10px;font:600 15px sans-serif;background:#E6EBEA;display:grid;grid-template-columns:repeat(3,1fr);gap:10px}figure{margin:0}img{width:100%;height:226px;object-fit:cover;object-position:top;border-radius:4px}figcaption{text-transform:capitalize}</style>${shots.map(([look, data]) => `<figure><figcaption>${look}</figcaption><img src="data:image/png;base64,${data}"></figure>`).join("")}`,
  );
}

/** Four pages beside each other, on one sheet. */
async function onOneSheet(p, pages) {
  const shots = [];
  for (const [caption, go] of pages) {
    await go(p);
    await p.evaluate(() => document.fonts.ready);
    await p.waitForTimeout(500);
    shots.push([caption, (await p.screenshot()).toString("base64")]);
  }
  await p.goto("about:blank");
  await p.setContent(
    `<style>body{margin:0;padding:10px;font:600 15px sans-serif;background:#E6EBEA;display:grid;grid-template-columns:repeat(2,1fr);gap:8px 10px}figure{margin:0}img{width:100%;height:362px;object-fit:cover;object-position:top;border-radius:4px}</style>${shots.map(([caption, data]) => `<figure><figcaption>${caption}</figcaption><img src="data:image/png;base64,${data}"></figure>`).join("")}`,
  );
}

async function openDesk(p, group) {
  await openClass(p);
  await p.getByRole("link", { name: "Crossing project" }).first().click();
  await p.getByRole("link", { name: group }).click();
  await p.getByRole("complementary", { name: "Marking" }).getByRole("heading", { name: group }).waitFor();
}

async function openFigures(p) {
  await openClass(p);
  await p.getByRole("link", { name: "Crossing project" }).first().click();
  await p.getByRole("link", { name: "Figures" }).click();
  await p.getByRole("img", { name: "Group beside group" }).locator("svg").first().waitFor();
}

/** A timeline its owner, an editor and a guest are in: who may do what, what was said, what is suggested, what was sent in. */
async function seenTogether(p) {
  await openTimeline(p, "How the Ambrel was crossed");
  const url = p.url();
  const api = url.replace("/timelines/", "/api/timelines/");
  const ask = async (who, method, path, data) => (await who.request.fetch(`${api}${path}`, { method, data })).json();
  const { token } = await ask(p, "POST", "/invitation", { renew: false, role: "commenter" });
  const guest = await pageFor(LAPTOP, "ward");
  await guest.request.post(`${address}/api/join/${token}`);
  const { categories: _, ...seen } = await ask(guest, "GET", "/suggestions");
  if (seen.suggestions.length === 0) {
    await guest.goto(url);
    await guest.getByLabel("About", { exact: true }).selectOption({ label: "The long night flood" });
    await guest.getByLabel("A new comment").fill("The best of it. How do you know there were forty-one, @Nia?");
    await guest.getByRole("button", { name: "Send" }).click();
    await guest.getByText("The best of it.").waitFor();
    const event = await guest.getByLabel("About", { exact: true }).inputValue();
    const { current } = await ask(guest, "GET", `/suggestions?event=${event}`);
    const given = { ...current, title: "The long night flood of 1872" };
    await ask(guest, "POST", "/suggestions", { event, was: current, given, why: "There was another flood in 1783." });
    const call = await ask(p, "PUT", "/call", {
      words: "What do you know of the ferry?",
      closesAt: null,
      renew: false,
    });
    for (const [title, when] of [
      ["The rope broke, and was mended within a day", "about 1702"],
      ["My great-grandfather was the last to be ferried", "27 Sep 1931"],
    ])
      await p.request.post(`${address}/api/send/${call.token}`, {
        data: { name: "Old Wren", when, title, text: "So it is told in our house." },
      });
  }
  const other = await pageFor(LAPTOP, "obi");
  await other.goto(url);
  await other
    .getByRole("gridcell", { name: /^A hoard of bronze/ })
    .first()
    .click();
  await onOneSheet(p, [
    [
      "Who may do what",
      async (q) => {
        await q.goto(url);
        await q.getByRole("button", { name: "Share" }).click();
        await q.getByRole("region", { name: "Work on it together" }).evaluate((r) => r.scrollIntoView());
      },
    ],
    [
      "Comments, suggestions, and who is here",
      async (q) => {
        await q.goto(url);
        await q.getByRole("button", { name: "Comments" }).click();
        await q.getByText("The best of it.").waitFor();
        await q.getByTestId("here").first().waitFor();
      },
    ],
    [
      "What was sent in",
      async (q) => {
        await q.goto(`${url}/sent`);
        await q.getByText("The rope broke").waitFor();
      },
    ],
    [
      "As a guest sees it",
      async (q) => {
        await guest.goto(url);
        await guest.getByText("The best of it.").waitFor();
        await q.goto("about:blank");
        await guest.waitForTimeout(1_500);
        await q.setContent(
          `<style>body{margin:0}</style><img src="data:image/png;base64,${(await guest.screenshot()).toString("base64")}">`,
        );
      },
    ],
  ]);
}

/** name: [size, who is signed in, what to do] */
const VIEWS = {
  home: [LAPTOP, "nia", (p) => p.goto(address)],
  editor: [LAPTOP, "nia", (p) => openTimeline(p, "How the Ambrel was crossed")],
  "event-sheet": [
    LAPTOP,
    "nia",
    async (p) => {
      await openTimeline(p, "How the Ambrel was crossed");
      await p
        .getByRole("group", { name: "Chart" })
        .getByRole("button", { name: /, The long night flood, event/ })
        .click();
      await p.getByRole("textbox", { name: "Description" }).waitFor();
      await p.getByRole("button", { name: "Set by parts" }).click();
    },
  ],
  maker: [
    LAPTOP,
    "ward",
    async (p) => {
      await openClass(p);
      await p.getByRole("link", { name: "Crossing project" }).first().click();
      await p.getByRole("link", { name: "Edit" }).click();
      await p.getByRole("complementary", { name: "As a student sees it" }).waitFor();
    },
  ],
  "reader-open": [
    LAPTOP,
    "",
    async (p) => {
      await openPublished(p);
      await p.getByRole("link", { name: "Chart", exact: true }).click();
      await p
        .getByRole("button", { name: /The long night flood/ })
        .first()
        .click();
      await p.locator("article.hung").waitFor();
    },
  ],
  share: [
    LAPTOP,
    "nia",
    async (p) => {
      await openTimeline(p, "How the Ambrel was crossed");
      await p.getByRole("button", { name: "Share" }).click();
      await p.getByText("QR code", { exact: true }).click();
      await p.getByRole("img", { name: /QR code of/ }).waitFor();
      await p.getByLabel("Code for the other page").waitFor();
      await p.getByRole("dialog").evaluate((d) => d.scrollTo(0, 330));
    },
  ],
  paper: [
    LAPTOP,
    "nia",
    async (p) => {
      await openTimeline(p, "How the Ambrel was crossed");
      await p.getByRole("button", { name: "On paper, as a picture, as a folder" }).click();
      await p.getByRole("region", { name: "PDF" }).getByLabel("Paper").selectOption("a0");
      await p.getByRole("button", { name: "Make the PDF" }).click();
      await p.locator("canvas[data-drawn]").waitFor();
      await p.getByRole("dialog").evaluate((d) => d.scrollTo(0, 300));
    },
  ],
  present: [
    LAPTOP,
    "",
    async (p) => {
      await openPublished(p);
      await p.getByRole("button", { name: "Present" }).first().click();
      await p.locator(".present").waitFor();
      for (let i = 0; i < 6; i++) await p.keyboard.press("ArrowRight");
      await p.locator(".present img").first().waitFor();
    },
  ],
  practice: [
    LAPTOP,
    "",
    async (p) => {
      await openPublished(p);
      await p.getByRole("button", { name: "Practise" }).first().click();
      await p.getByRole("button", { name: "Begin" }).click();
      await p.locator(".x-pile button").first().click();
      await p.locator(".x-gap").last().press("Enter");
      await p.locator(".x-pile button").first().click();
    },
  ],
  looks: [LAPTOP, "nia", looksOnOneSheet],
  map: [
    LAPTOP,
    "nia",
    async (p) => {
      await openTimeline(p, "How the Ambrel was crossed");
      await p.getByRole("button", { name: "Map", exact: true }).click();
      await p.locator("[data-testid=map][data-marks]").first().waitFor();
    },
  ],
  class: [LAPTOP, "ward", (p) => openClass(p)],
  teaching: [
    LAPTOP,
    "ward",
    async (p) => {
      await p.goto(`${address}/teaching`);
      await p.getByRole("heading", { name: "My classes today" }).waitFor();
    },
  ],
  figures: [
    LAPTOP,
    "ward",
    async (p) => {
      const gallery = "Class gallery";
      await onOneSheet(p, [
        ["Figures", openFigures],
        [
          "Who did what",
          async (q) => {
            await openDesk(q, "Rafe, Odile");
            await q.goto(
              `${address}${await q.getByRole("link", { name: "Who did what" }).last().getAttribute("href")}`,
            );
            await q.locator(".recharts-bar").first().waitFor();
          },
        ],
        [
          "What changed since the time before",
          async (q) => {
            await openDesk(q, "Rafe, Odile");
            await q.getByRole("region", { name: "As submitted" }).evaluate((s) => s.scrollIntoView());
          },
        ],
        [
          gallery,
          async (q) => {
            await openClass(q);
            await q.getByRole("link", { name: "Crossing project" }).first().click();
            await q.getByRole("link", { name: gallery }).click();
            await q.getByRole("heading", { name: gallery }).waitFor();
          },
        ],
      ]);
    },
  ],
  marking: [
    LAPTOP,
    "ward",
    async (p) => {
      await openDesk(p, "Junia, Petr, Sol");
    },
  ],
  "ready-check": [LAPTOP, "student:Wren", (p) => openWork(p)],
  together: [LAPTOP, "nia", seenTogether],
  "bring-in": [
    LAPTOP,
    "nia",
    async (p) => {
      await openTimeline(p, "How the Ambrel was crossed");
      await p.getByRole("button", { name: "Bring in", exact: true }).click();
      await p
        .getByLabel("Choose a file")
        .setInputFiles({ name: "flood-notes.csv", mimeType: "text/csv", buffer: Buffer.from(NOTES) });
      await p.getByRole("button", { name: /^Bring up to date|^Add/ }).waitFor();
      await p.getByText(/new, .* changed/).waitFor();
    },
  ],
  sources: [
    LAPTOP,
    "nia",
    async (p) => {
      await openTimeline(p, "How the Ambrel was crossed");
      await p.getByRole("button", { name: "About", exact: true }).click();
      await p.getByRole("button", { name: /^List of sources/ }).click();
      await p.getByText("Marrable, E. (1962).").waitFor();
    },
  ],
};

for (const [name, [size, person, act]] of Object.entries(VIEWS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const page = await pageFor(size, person);
  await act(page);
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(400);
  await page.mouse.move(size.width - 2, size.height - 2);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  await page.close();
  console.log(name);
}
await browser.close();
