import { type Browser, expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { cell } from "./harness/ledger";
import { allHere, newEmail, newPerson, newTimeline, PASSWORD, saved, serverUrl, writeLines } from "./harness/people";

const browserOf = async (browser: Browser, locale: string, viewport = { width: 1_280, height: 800 }) =>
  (await browser.newContext({ baseURL: serverUrl(), locale, viewport })).newPage();

/** From signing up to a published page, as whoever speaks that language goes. */
interface Way {
  locale: string;
  spoken: string;
  signUp: { name: string; email: string; password: string; press: string; front: string };
  make: { link: string; title: string; press: string };
  lines: readonly [typed: string, title: string, shown: string][];
  saved: string;
  sheet: { colour: string; chosen: string; noSign: string; find: string; typed: string; sign: string };
  share: { press: string; publish: string; link: string };
  read: { press: string; chart: string; long: string; later: string };
  choice: string;
}

const WAYS: readonly Way[] = [
  {
    locale: "de-AT",
    spoken: "de",
    signUp: {
      name: "Anzeigename",
      email: "E-Mail",
      password: "Passwort",
      press: "Konto anlegen",
      front: "Deine Zeitleisten",
    },
    make: { link: "Neue Zeitleiste", title: "Titel", press: "Anlegen" },
    lines: [
      ["14. November 1872 Die lange Flutnacht", "Die lange Flutnacht", "14. Nov. 1872"],
      ["um 1604 Seilfähre genehmigt", "Seilfähre genehmigt", "um 1604"],
      ["310 v. Chr. Ringe im Fluss", "Ringe im Fluss", "310 v. Chr."],
      ["1840er Dampfmühle", "Dampfmühle", "1840er"],
    ],
    saved: "Gespeichert",
    sheet: {
      colour: "Farbe",
      chosen: "Pflaume",
      noSign: "kein Zeichen",
      find: "Ein Zeichen finden",
      typed: "schlüs",
      sign: "Schlüssel",
    },
    share: { press: "Teilen", publish: "Veröffentlichen", link: "Alle mit dem Link" },
    read: {
      press: "Lesen",
      chart: "Schaubild",
      long: "Donnerstag, 14. November 1872",
      later: "später",
    },
    choice: "Sprache",
  },
  {
    locale: "es-ES",
    spoken: "es",
    signUp: {
      name: "Nombre visible",
      email: "Correo",
      password: "Contraseña",
      press: "Crear cuenta",
      front: "Tus líneas de tiempo",
    },
    make: { link: "Nueva línea de tiempo", title: "Título", press: "Crearla" },
    lines: [
      ["14 de noviembre de 1872 La larga noche", "La larga noche", "14 nov 1872"],
      ["hacia 1604 Barca de maroma", "Barca de maroma", "hacia 1604"],
      ["310 a. C. Anillos en el río", "Anillos en el río", "310 a. C."],
      ["siglo XVIII Libros de peaje", "Libros de peaje", "siglo XVIII"],
    ],
    saved: "Guardado",
    sheet: {
      colour: "Color",
      chosen: "ciruela",
      noSign: "sin signo",
      find: "Buscar un signo",
      typed: "llav",
      sign: "llave",
    },
    share: { press: "Compartir", publish: "Publicar", link: "Quien tenga el enlace" },
    read: { press: "Leer", chart: "Gráfico", long: "jueves, 14 de noviembre de 1872", later: "después" },
    choice: "Idioma",
  },
];

for (const way of WAYS)
  test(`from signing up to a published page in ${way.spoken}: words, dates that are typed and written, and what is published`, async ({
    browser,
  }) => {
    const page = await browserOf(browser, way.locale);
    await page.goto("/sign-up");
    await expect(page.locator("html")).toHaveAttribute("lang", way.spoken);
    const { signUp, make, read, share } = way;
    await page.getByLabel(signUp.name).fill("Lena");
    await page.getByLabel(signUp.email).fill(newEmail("lena"));
    await page.getByLabel(signUp.password, { exact: true }).fill(PASSWORD);
    await page.getByRole("button", { name: signUp.press }).click();
    await expect(page.getByRole("heading", { name: signUp.front })).toBeVisible();

    await page.getByRole("link", { name: make.link }).click();
    await page.getByLabel(make.title, { exact: true }).fill("Ambrel");
    await page.getByRole("button", { name: make.press, exact: true }).click();
    await expect(page).toHaveURL(/\/timelines\/[\w-]+$/);
    const line = page.getByTestId("next-event");
    for (const [typed, title, shown] of way.lines) {
      await line.fill(typed);
      await line.press("Enter");
      await expect(cell(page, "when", title)).toHaveText(shown);
    }
    await expect(page.getByTestId("saving")).toHaveText(way.saved);
    // The drawing writes them too.
    const [, first, when] = way.lines[0]!;
    await expect(page.getByRole("button", { name: new RegExp(`^${when}, ${first},`) })).toBeVisible();

    // What is chosen from a list has its names too, and is found by them.
    await page.getByRole("button", { name: new RegExp(`^${when}, ${first},`) }).click();
    await page.getByLabel(way.sheet.colour, { exact: true }).selectOption({ label: way.sheet.chosen });
    await page.getByRole("button", { name: way.sheet.noSign, exact: true }).click();
    await page.getByLabel(way.sheet.find).fill(way.sheet.typed);
    await page.getByRole("radio", { name: way.sheet.sign, exact: true }).check();
    await expect(page.getByTestId("saving")).toHaveText(way.saved);

    await page.getByRole("button", { name: share.press, exact: true }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByRole("radio", { name: new RegExp(`^${share.link}`) }).check();
    await dialog.getByRole("button", { name: share.publish, exact: true }).click();
    const link = dialog.getByRole("textbox").filter({ visible: true }).first();
    await expect(link).toHaveValue(/\/t\//);
    const address = new URL(await link.inputValue()).pathname;

    // Whoever reads it speaks English; the page speaks the language of its timeline, with its scripts.
    const reader = await browserOf(browser, "en-GB");
    await reader.goto(address);
    await expect(reader.locator("html")).toHaveAttribute("lang", way.spoken);
    await expect(reader.getByRole("link", { name: read.chart, exact: true })).toBeVisible();
    await reader.getByRole("link", { name: read.press, exact: true }).click();
    const story = reader.locator("#read");
    await expect(story).toContainText(read.long);
    await expect(story).toContainText(read.later);
    await expect(story).not.toContainText(/\b(later|about|from|BC)\b/);
    const scripts = await reader.locator("[data-script]").first().getAttribute("data-script");
    expect(scripts).toMatch(new RegExp(`^/reader/${way.spoken}/`));
    expect((await reader.request.get(scripts!)).status()).toBe(200);
  });

test("the language is chosen in the bar, kept in the browser, and with the account on every device", async ({
  browser,
}) => {
  const page = await browserOf(browser, "en-GB");
  await page.goto("/");
  await expect(page.locator("html")).toHaveAttribute("lang", "en");
  // By the keyboard: each that is come to is spoken, and one goes on from the same place.
  await page.getByRole("combobox", { name: "Language" }).focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("combobox", { name: "Sprache" })).toBeFocused();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("combobox", { name: "Idioma" })).toBeFocused();
  await expect(page.getByRole("combobox", { name: "Idioma" })).toHaveValue("es");
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Pon en orden lo que ocurrió, y muéstralo");
  await page.goto("/sign-in");
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Entrar");
  // What ships is said in it, and found by its words.
  await page.goto("/shelf");
  await page.getByRole("searchbox").fill("castillo");
  await page.getByRole("searchbox").press("Enter");
  await expect(page.getByRole("listitem").first()).toContainText("Un castillo con foso");
  await expect(page.getByRole("img", { name: "Un castillo de piedra con cuatro torres" })).toBeVisible();
  // A page that is not there says so in it too.
  await page.goto("/nowhere");
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Aquí no hay nada que puedas ver");
  await expect(page.getByRole("combobox", { name: "Idioma" })).toBeVisible();
  // So does a route.
  const refused = await page.request.post("/api/timelines", { data: { title: "a", subject: "" } });
  expect(((await refused.json()) as { sentence: string }).sentence).toMatch(/^Entra primero\./);
  // None that is not spoken.
  const odd = await page.request.put("/api/language", { data: { language: "tlh" } });
  expect([odd.status(), ((await odd.json()) as { failed: string }).failed]).toEqual([400, "language_unknown"]);

  const nia = await newPerson(browser, "Nia");
  await nia.page.goto("/account");
  await nia.page.getByRole("combobox", { name: "Language" }).selectOption("Deutsch");
  await expect(nia.page.getByRole("heading", { name: "Dein Konto", exact: true })).toBeVisible();
  const elsewhere = await browserOf(browser, "es-MX");
  await elsewhere.goto("/sign-in");
  await elsewhere.getByLabel("Correo o nombre de acceso").fill(nia.email);
  await elsewhere.getByLabel("Contraseña", { exact: true }).fill(PASSWORD);
  await elsewhere.getByRole("button", { name: "Entrar", exact: true }).click();
  await expect(elsewhere.getByRole("heading", { name: "Deine Zeitleisten" })).toBeVisible();
});

test("what somebody is told of comes in their own language, whoever does it in another", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia");
  const obi = await newPerson(browser, "Obi");
  await nia.page.request.put("/api/language", { data: { language: "de" } });
  const made = await obi.page.request.post("/api/classes", { data: { name: "History 8B", zone: "UTC" } });
  const { id } = (await made.json()) as { id: string };
  const taken = await obi.page.request.post(`/api/classes/${id}/teachers`, {
    data: { email: nia.email, role: "assistant" },
  });
  expect(taken.ok()).toBe(true);
  await nia.page.goto("/");
  await expect(
    nia.page.getByText("Obi hat dich in die Klasse History 8B aufgenommen. Du hilfst dort mit"),
  ).toBeVisible();
});

/** Texts that are seen or heard on a page and stand in no brackets: they are no sentence of the catalogue. */
const unmirrored = (page: Page) =>
  page.evaluate(() => {
    const found = new Set<string>();
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let n = walk.nextNode(); n; n = walk.nextNode()) {
      const [text, at] = [n.textContent?.trim() ?? "", n.parentElement!];
      if (!/\p{L}{2}/u.test(text) || at.closest("script, style, noscript, svg, [lang]:not(html), [data-own]")) continue;
      // What may be chosen is seen once its field is opened.
      if (!(at.closest("select") ?? at).checkVisibility()) continue;
      // One sentence may stand in several pieces.
      const whole = at.closest("p, li, td, th, dd, button, a, label, h1, h2, h3, span, option")?.textContent ?? text;
      if (!/[⟦⟧]/.test(text) && !/[⟦⟧]/.test(whole)) found.add(text);
    }
    for (const name of ["aria-label", "title", "placeholder", "alt"])
      for (const e of document.querySelectorAll(`[${name}]`)) {
        const text = e.getAttribute(name) ?? "";
        if (/\p{L}{2}/u.test(text) && !/[⟦⟧]/.test(text) && !e.closest("svg, .chart-hit"))
          found.add(`${name}: ${text}`);
      }
    return [...found];
  });

test("in a mirror, from right to left and a third longer, nothing is cut off, and every sentence is of the catalogue", async ({
  browser,
}) => {
  test.setTimeout(300_000);
  const nia = await newPerson(browser, "Nia");
  const path = await newTimeline(nia.page, "Ambrel");
  await writeLines(nia.page, [
    "about 1604 Rope ferry #crossing",
    "1744 - 1783 Timber bridge #crossing",
    "1872 Flood !",
  ]);
  const { cookies } = await nia.page.context().storageState();
  const OWN =
    /Nia|Ambrel|about 1604|ferry|bridge|Flood|crossing|Fastigo|example|English|Deutsch|Español|\bCC\b|Chrome|GIF|WebP|https?:/i;
  for (const viewport of [
    { width: 1_280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    const context = await browser.newContext({ baseURL: serverUrl(), viewport });
    await context.addCookies(cookies.filter((c) => c.name === "fastigo_session"));
    await context.addCookies([{ name: "fastigo_language", value: "zz", url: serverUrl() }]);
    const page = await context.newPage();
    for (const at of [
      "/",
      "/new",
      "/account",
      "/bin",
      "/classes",
      "/schools",
      "/teaching",
      "/published",
      "/published/mine",
      "/mailbox",
      "/help",
      "/help/begin",
      "/join-class",
      path,
      `${path}/sent`,
    ]) {
      await page.goto(at);
      await expect(page.locator("html")).toHaveAttribute("dir", "rtl");
      await expect(page.locator("h1, [data-testid=saving]").first()).toBeVisible();
      const [wide, seen] = await page.evaluate(() => [document.documentElement.scrollWidth, window.innerWidth]);
      expect.soft({ [`${at} at ${viewport.width}`]: wide! <= seen! }).toEqual({ [`${at} at ${viewport.width}`]: true });
      const left = (await unmirrored(page)).filter((text) => !OWN.test(text));
      expect.soft({ [at]: left }).toEqual({ [at]: [] });
      // Time runs from left to right in the drawing all the same.
      for (const drawing of await page.locator("canvas").all()) await expect(drawing).toHaveCSS("direction", "ltr");
      // What begins a line stands at the right.
      const bar = await page.locator("header a").first().boundingBox();
      if (bar) expect.soft({ [at]: bar.x > viewport.width / 2 }).toEqual({ [at]: true });
    }
    await context.close();
  }
});

test("in a mirror, all that opens in the editor says what is of the catalogue, what may be chosen too", async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ambrel");
  await writeLines(page, ["about 1604 Rope ferry #crossing", "1744 - 1783 Timber bridge #crossing", "1872 Flood !"]);
  await saved(page);
  await page.context().addCookies([{ name: "fastigo_language", value: "zz", url: serverUrl() }]);
  await page.reload();
  await expect(page.locator("html")).toHaveAttribute("dir", "rtl");
  await allHere(page);
  const press = (name: string) => page.getByRole("button", { name: new RegExp(`^⟦${name}(·|,)`) }).first();
  // What was typed; and the drawing speaks the language of its timeline.
  const OWN = /^(Nia|Ambrel|[Cc]rossing|Rope ferry|Timber bridge|Flood|about 1604|aria-label: .*, event \d of 3)$/;
  // Names of languages, each in its own words too, and days come from the browser.
  const languages = new Intl.DisplayNames("en", { type: "language" });
  const alike = ["en", "en-GB", "en-US", "cy", "ga", "gd", "is", "la"].map((code) => languages.of(code));
  const fromBrowser = (text: string) =>
    alike.includes(text) || / – /.test(text) || /^\w{3}, \d+ \w{3} \d{4}$/.test(text);
  const looked = async (what: string) => {
    const left = (await unmirrored(page)).filter((text) => !OWN.test(text) && !fromBrowser(text));
    expect.soft({ [what]: left }).toEqual({ [what]: [] });
  };
  await looked("the editor");
  await page
    .getByRole("button", { name: /Rope ferry, event 1/ })
    .first()
    .click();
  await press("no sign").click();
  await looked("an event");
  await page.keyboard.press("Escape");
  for (const name of ["About", "Look", "History"]) {
    await press(name).click();
    await expect(page.getByRole("complementary")).toBeVisible();
    await looked(name);
    await page.keyboard.press("Escape");
  }
  for (const name of ["Share", "Bring in", "Take out", "Columns", "Look at", "Keys", "On paper"]) {
    await press(name).click();
    await expect(page.getByRole("dialog").first()).toBeVisible();
    await looked(name);
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
});

/**
 * Choices that are wider than the room their boxes have for them, beside the arrow. Where a language's own name follows the one it has
 * here, that may be cut.
 */
function cutChoices(boxes: Element[]): string[] {
  const ARROW = 18;
  const type = document.createElement("canvas").getContext("2d")!;
  return (boxes as HTMLSelectElement[]).flatMap((box) => {
    const look = getComputedStyle(box);
    type.font = `${look.fontWeight} ${look.fontSize} ${look.fontFamily}`;
    const room = box.clientWidth - Number.parseFloat(look.paddingLeft) - Number.parseFloat(look.paddingRight) - ARROW;
    const said = [...box.options].map((o) => o.text.split(" – ")[0]!);
    return said.filter((text) => type.measureText(text).width > room);
  });
}

test("longer words find room: no page is wider than the screen in German or Spanish, on a phone too", async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const nia = await newPerson(browser, "Nia");
  const path = await newTimeline(nia.page, "Ambrel");
  await writeLines(nia.page, ["about 1604 Rope ferry #crossing", "1744 - 1783 Timber bridge"]);
  for (const [language, about, last] of [
    ["de", "Über", "Julianische Daten"],
    ["es", "Sobre", "Fechas julianas"],
  ] as const) {
    await nia.page.request.put("/api/language", { data: { language } });
    for (const viewport of [
      { width: 1_280, height: 800 },
      { width: 390, height: 844 },
    ]) {
      await nia.page.setViewportSize(viewport);
      for (const at of ["/", "/new", "/account", "/classes", "/published", "/mailbox", "/help", "/bin", path]) {
        await nia.page.goto(at);
        await expect(nia.page.locator("html")).toHaveAttribute("lang", language);
        await expect(nia.page.locator("h1, [data-testid=saving]").first()).toBeVisible();
        const wide = await nia.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect({ [`${at} in ${language} at ${viewport.width}`]: Math.max(0, wide) }).toEqual({
          [`${at} in ${language} at ${viewport.width}`]: 0,
        });
      }
      // What can be chosen is read whole in its box.
      await nia.page.getByRole("button", { name: about, exact: true }).click();
      await expect(nia.page.getByLabel(last)).toBeVisible();
      const choices = nia.page.getByRole("complementary").locator("select");
      expect([viewport.width, await choices.evaluateAll(cutChoices)]).toEqual([viewport.width, []]);
    }
  }
});
