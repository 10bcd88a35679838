import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./scripts/lib/chromium.mjs";
const b = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
const p = await (await b.newContext({ locale: "de-DE" })).newPage();
p.on("console", (m) => m.type() === "error" && console.log("console:", m.text().slice(0, 300)));
await p.goto("http://localhost:3000/help/nothing", { waitUntil: "networkidle" });
console.log(await p.locator("select").first().getAttribute("aria-label"), await p.evaluate(() => [document.documentElement.lang, globalThis.fastigoSpeaks, Object.keys(globalThis.fastigoWords ?? {})]));
await b.close();
