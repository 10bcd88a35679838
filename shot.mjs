import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./scripts/lib/chromium.mjs";
const [lang, who, size, ...pages] = process.argv.slice(2);
const [w, h] = size.split("x").map(Number);
const b = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
const c = await b.newContext({ viewport: { width: w, height: h }, locale: lang, extraHTTPHeaders: { "Accept-Language": lang } });
const p = await c.newPage();
p.on("console", (m) => m.type() === "error" && console.log("console:", m.text().slice(0, 600)));
p.on("pageerror", (e) => console.log("pageerror:", String(e).slice(0, 600)));
const base = "http://localhost:3000";
if (who !== "-") {
  await p.request.post(`${base}/api/session`, { data: { name: `${who}@hollinbank.example`, password: "over-the-ambrel" }, headers: { Origin: base } });
  await p.request.put(`${base}/api/language`, { data: { language: lang.slice(0, 2) }, headers: { Origin: base } });
}
for (const spec of pages) {
  const [path, name, act] = spec.split("::");
  await p.goto(base + path, { waitUntil: "networkidle" });
  if (act) { await eval(`(async () => { ${act} })()`); await p.waitForLoadState("networkidle"); await p.waitForTimeout(800); }
  await p.screenshot({ path: `/tmp/${name}.png` });
  console.log(name, await p.title());
}
await b.close();
