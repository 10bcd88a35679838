import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./scripts/lib/chromium.mjs";
const b = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
const base = "http://localhost:3000";
const [who, ...pages] = process.argv.slice(2);
const c = await b.newContext({ viewport: { width: 1280, height: 800 } });
const p = await c.newPage();
p.on("pageerror", (e) => console.log("pageerror:", String(e).slice(0, 300)));
p.on("console", (m) => m.type() === "error" && console.log("console:", m.text().slice(0, 300)));
if (who !== "-") await p.request.post(`${base}/api/session`, { data: { name: `${who}@hollinbank.example`, password: "over-the-ambrel" }, headers: { Origin: base } });
console.log((await p.request.put(`${base}/api/language`, { data: { language: "zz" }, headers: { Origin: base } })).status());
export const scan = () => p.evaluate(() => {
  const out = [];
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let n = walk.nextNode(); n; n = walk.nextNode()) {
    const t = n.textContent.trim();
    const e = n.parentElement;
    if (!t || !/[A-Za-z]{2}/.test(t) || ["SCRIPT", "STYLE", "NOSCRIPT"].includes(e.tagName) || e.closest("svg") || !e.checkVisibility?.()) continue;
    let full = e.textContent; 
    if (t.includes("⟦") || t.includes("⟧") || /⟦[^⟧]*$/.test(full.slice(0, full.indexOf(t)))) continue;
    out.push(t.slice(0, 80));
  }
  for (const e of document.querySelectorAll("[aria-label],[title],[placeholder],[alt]")) for (const a of ["aria-label", "title", "placeholder", "alt"]) {
    const t = e.getAttribute(a);
    if (t && /[A-Za-z]{2}/.test(t) && !t.includes("⟦") && !e.closest("svg")) out.push(`@${a} ${t.slice(0, 80)}`);
  }
  return [...new Set(out)];
});
for (const spec of pages) {
  const [path, act] = spec.split("::");
  await p.goto(base + path, { waitUntil: "networkidle" });
  if (act) { await eval(`(async () => { ${act} })()`).catch((e) => console.log("act", String(e).slice(0, 200))); await p.waitForTimeout(700); }
  const over = await p.evaluate(() => [document.documentElement.dir, document.documentElement.scrollWidth, innerWidth]);
  console.log(`== ${path} ${over}`); console.log((await scan()).map((t) => "   " + t).join("\n"));
}
await b.close();
