// npm run house: draws the rooms of the source and the arrows of imports between them (docs/house.svg), and fails where files
// import each other in a circle, an arrow points up, or tables are asked for outside the room they belong to. "Up" is said once, here.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join, normalize, relative } from "node:path";
import { ROOT } from "./lib/machine.mjs";
import { say } from "./lib/say.mjs";

/** From the roof down: a floor may use those below it. Rooms of one floor stand side by side and do not use each other. */
const FLOORS = [
  ["app"],
  [
    "features/editor",
    "features/reader",
    "features/marking",
    "features/classes",
    "features/accounts",
    "features/home",
    "features/catalogue",
    "features/publishing",
    "features/together",
    "threads",
    "cli",
  ],
  ["server", "ui", "workers", "paper"],
  ["core/starting-points", "core/shelf", "core/practice"],
  ["core/bring-in", "core/published", "core/paper"],
  ["core/formats", "core/chart", "core/ledger", "core/testing"],
  ["core/words"],
  ["core/check", "core/history", "core/places", "core/outside", "core/presenting"],
  ["core/looks"],
  ["core/change"],
  ["core/timeline", "core/classes"],
  ["core/time", "core/text"],
  ["core/language"],
];
/** What may be used from the side: threads draw pages, readers and workers share the stage's pieces. */
const BESIDE = new Set([
  "threads > features/reader",
  "threads > features/marking",
  "cli > threads",
  "ui > workers",
  "core/formats > core/chart",
  "core/formats > core/ledger",
  "core/time > core/text",
  "core/text > core/time",
]);
/** Tables, and views of them, that one room alone asks: others ask its functions. */
const KEPT_IN = {
  "src/server/classes/":
    "assignment|assignment_picture|class|class_member|class_teacher|current_submission|given_event|given_mark|group_member|group_work|" +
    "kept_comment|mark|mark_before|mark_reply|mark_voice|organisation|organisation_invitation|organisation_member|peer_review|practice|" +
    "practice_result|question|rubric|second_mark|set_aside|sign_on_group|submission|submission_drawing",
};

const files = [];
const walk = (folder) => {
  for (const e of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, e.name);
    if (e.isDirectory()) walk(path);
    else if (/\.tsx?$/.test(e.name) && !/\.d\.ts$/.test(e.name)) files.push(relative(ROOT, path));
  }
};
walk(join(ROOT, "src"));
const known = new Set(files);

function target(from, spec) {
  const base = spec.startsWith("@/") ? `src/${spec.slice(2)}` : normalize(join(dirname(from), spec));
  return [base, `${base}.ts`, `${base}.tsx`].find((p) => known.has(p)) ?? null;
}
/** What a file needs to run, and what it names for types alone: a circle of types is none at run time, but is one to read. */
const uses = new Map(
  files.map((f) => {
    const text = readFileSync(join(ROOT, f), "utf8");
    const found = new Set();
    for (const [, spec] of text.matchAll(/(?:from|import\(|import)\s*"((?:@\/|\.)[^"]+)"/g)) {
      const to = target(f, spec);
      if (to && to !== f) found.add(to);
    }
    return [f, [...found]];
  }),
);
const isTest = (f) => /\.test\.tsx?$|\/testing\//.test(f);
const roomOf = (f) => {
  const path = f.slice(4);
  for (const floor of FLOORS) for (const room of floor) if (path === room || path.startsWith(`${room}/`)) return room;
  return null;
};
const floorOf = (room) => FLOORS.findIndex((floor) => floor.includes(room));

const faults = [];
const arrows = new Map();
for (const [f, list] of uses) {
  if (isTest(f)) continue;
  for (const to of list) {
    const [a, b] = [roomOf(f), roomOf(to)];
    if (!a || !b || a === b) continue;
    const key = `${a} > ${b}`;
    arrows.set(key, (arrows.get(key) ?? 0) + 1);
    if (floorOf(a) >= floorOf(b) && !(floorOf(a) === floorOf(b) && BESIDE.has(key)))
      faults.push(`${f} uses ${to}: ${b} lies ${floorOf(a) === floorOf(b) ? "beside" : "above"} ${a}`);
  }
}

// Circles: what can be reached from itself.
const state = new Map();
const path = [];
function visit(f) {
  if (state.get(f) === "done") return;
  if (state.get(f) === "open") {
    faults.push(`a circle: ${[...path.slice(path.indexOf(f)), f].join(" > ")}`);
    return;
  }
  state.set(f, "open");
  path.push(f);
  for (const to of uses.get(f)) if (!isTest(to)) visit(to);
  path.pop();
  state.set(f, "done");
}
for (const f of files) if (!isTest(f)) visit(f);

for (const f of files) {
  const lines = readFileSync(join(ROOT, f), "utf8").split("\n");
  if (lines.length > 401 && !lines.slice(0, 5).some((l) => l.includes("Long because")))
    faults.push(`${f} has ${lines.length - 1} lines and does not say why (a line "Long because ..." on top)`);
}

for (const [room, tables] of Object.entries(KEPT_IN)) {
  const asked = new RegExp(`\\b(?:from|join|into|update|using)\\s+(?:\\w+(?:\\s+\\w+)?,\\s*)*(${tables})\\b(?![("'])`);
  for (const f of files) {
    if (isTest(f) || f.startsWith(room)) continue;
    const code = readFileSync(join(ROOT, f), "utf8").replaceAll(/^\s*(?:\/\/|\/?\*).*$/gm, "");
    const [, table] = asked.exec(code) ?? [];
    if (table) faults.push(`${f} asks the table ${table} itself: only ${room} does, others call a function of it`);
  }
}

const W = 1180;
const H = 96;
const at = new Map();
const counts = new Map();
for (const f of files) counts.set(roomOf(f), (counts.get(roomOf(f)) ?? 0) + 1);
const boxes = FLOORS.flatMap((floor, y) =>
  floor.map((room, i) => {
    const w = (W - 40) / floor.length;
    const box = { room, x: 20 + i * w + 6, y: 30 + y * H, w: w - 12, h: 46 };
    at.set(room, box);
    return box;
  }),
);
const esc = (s) => s.replaceAll("&", "&amp;").replaceAll("<", "&lt;");
const lines = [...arrows].map(([key, n]) => {
  const [a, b] = key.split(" > ").map((r) => at.get(r));
  const same = a.y === b.y;
  const [x1, y1] = [a.x + a.w / 2, same ? a.y + (a.h * 2) / 3 : a.y + a.h];
  const [x2, y2] = [b.x + b.w / 2, same ? b.y + (b.h * 2) / 3 : b.y];
  return `<path d="M${x1.toFixed(0)} ${y1} C${x1.toFixed(0)} ${y1 + 24} ${x2.toFixed(0)} ${y2 - 24} ${x2.toFixed(0)} ${y2}" fill="none" stroke="#7FC4B8" stroke-width="${Math.min(6, 0.8 + Math.log2(n) * 0.7).toFixed(1)}" marker-end="url(#a)"/>`;
});
const rooms = boxes.map(
  (b) =>
    `<rect x="${b.x.toFixed(0)}" y="${b.y}" width="${b.w.toFixed(0)}" height="${b.h}" rx="4" fill="#fff" stroke="#16323A" stroke-width="1.5"/><text x="${(b.x + b.w / 2).toFixed(0)}" y="${b.y + 21}" text-anchor="middle" font-weight="700">${esc(b.room)}</text><text x="${(b.x + b.w / 2).toFixed(0)}" y="${b.y + 38}" text-anchor="middle" fill="#4A6572" font-size="11">${counts.get(b.room) ?? 0} files</text>`,
);
const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${30 + FLOORS.length * H}" font-family="sans-serif" font-size="13" fill="#16323A"><title>The rooms of the source; arrows say which uses which, thicker where many files do</title><defs><marker id="a" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" markerUnits="userSpaceOnUse" orient="auto"><path d="M0 0L8 4L0 8z" fill="#0B6E69"/></marker></defs><rect width="100%" height="100%" fill="#F6F8F7"/>${lines.join("")}${rooms.join("")}</svg>\n`;
if (!process.argv.includes("--check")) {
  writeFileSync(join(ROOT, "docs", "house.svg"), svg);
  say("docs/house.svg is drawn.");
}
for (const fault of faults) say(fault);
say(`${files.length} files, ${arrows.size} arrows between ${boxes.length} rooms, ${faults.length} faults.`);
process.exit(faults.length > 0 ? 1 : 0);
