// Writes src/core/chart/style/sign-paths.ts: the outlines of the signs, out of the icons of lucide-react (ISC licence), as paths
// on a field of 24 by 24. Run again when signs are added.
import { writeFileSync } from "node:fs";
import * as lucide from "lucide-react";
import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { bundle } from "./lib/machine.mjs";

const { SIGNS } = await import(await bundle("src/core/timeline/sign-names.ts", "sign-names"));

const icons = new Map(Object.entries(lucide));

/** Which icon draws which sign. */
const ICON = {
  leaf: "Leaf",
  tree: "TreePine",
  flower: "Flower2",
  wheat: "Wheat",
  mountain: "Mountain",
  drop: "Droplet",
  waves: "Waves",
  flame: "Flame",
  sun: "Sun",
  snow: "Snowflake",
  storm: "CloudLightning",
  bird: "Bird",
  fish: "Fish",
  paw: "PawPrint",
  bone: "Bone",
  house: "House",
  castle: "Castle",
  church: "Church",
  columns: "Landmark",
  factory: "Factory",
  wall: "BrickWall",
  door: "DoorOpen",
  tent: "Tent",
  hammer: "Hammer",
  pickaxe: "Pickaxe",
  anvil: "Anvil",
  wheel: "Cog",
  boat: "Sailboat",
  ship: "Ship",
  anchor: "Anchor",
  train: "TrainFront",
  car: "Car",
  plane: "Plane",
  rocket: "Rocket",
  bicycle: "Bike",
  compass: "Compass",
  map: "Map",
  pin: "MapPin",
  footprints: "Footprints",
  person: "User",
  people: "Users",
  child: "Baby",
  heart: "Heart",
  ring: "Gem",
  hands: "Handshake",
  crown: "Crown",
  medal: "Medal",
  star: "Star",
  vote: "Vote",
  cap: "GraduationCap",
  cross: "Cross",
  flag: "Flag",
  bell: "Bell",
  key: "Key",
  lock: "Lock",
  sword: "Sword",
  shield: "Shield",
  scales: "Scale",
  gavel: "Gavel",
  scroll: "ScrollText",
  warning: "TriangleAlert",
  book: "BookOpen",
  feather: "Feather",
  music: "Music",
  palette: "Palette",
  stage: "Drama",
  camera: "Camera",
  film: "Film",
  lamp: "Lightbulb",
  flask: "FlaskConical",
  microscope: "Microscope",
  atom: "Atom",
  telescope: "Telescope",
  medicine: "Stethoscope",
  letter: "Mail",
  telephone: "Phone",
  coins: "Coins",
};

const round = (x) => String(Math.round(Number(x) * 100) / 100);
const ellipse = (cx, cy, rx, ry) =>
  `M${round(cx - rx)} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0`;
const box = (x, y, w, h, r) =>
  r > 0
    ? `M${x + r} ${y}h${w - 2 * r}a${r} ${r} 0 0 1 ${r} ${r}v${h - 2 * r}a${r} ${r} 0 0 1 ${-r} ${r}h${2 * r - w}a${r} ${r} 0 0 1 ${-r} ${-r}v${2 * r - h}a${r} ${r} 0 0 1 ${r} ${-r}z`
    : `M${x} ${y}h${w}v${h}h${-w}z`;

const NUMBER = String.raw`[-+]?(?:\d+\.?\d*|\.\d+)`;
const RELATIVE = new RegExp(String.raw`^m\s*(${NUMBER})[\s,]*(${NUMBER})\s*(?=([-+.\d])?)`);
/** A path that begins by "m" begins where it says, also behind another path. */
const fromItsOwnPlace = (d) => d.replace(RELATIVE, (_, x, y, more) => `M${x} ${y}${more ? "l" : ""}`);

/** One element of an icon as a path. */
function pathOf(tag, text) {
  const a = Object.fromEntries([...text.matchAll(/([\w-]+)="([^"]*)"/g)].map(([, k, v]) => [k, v]));
  const n = (k) => Number(a[k] ?? 0);
  if (tag === "path") return fromItsOwnPlace(a.d);
  if (tag === "circle") return ellipse(n("cx"), n("cy"), n("r"), n("r"));
  if (tag === "ellipse") return ellipse(n("cx"), n("cy"), n("rx"), n("ry"));
  if (tag === "line") return `M${a.x1} ${a.y1}L${a.x2} ${a.y2}`;
  if (tag === "rect") return box(n("x"), n("y"), n("width"), n("height"), n("rx"));
  if (tag === "polyline" || tag === "polygon") return `M${a.points.trim()}${tag === "polygon" ? "z" : ""}`;
  throw new Error(`An icon has an element nobody reads: ${tag}`);
}

const paths = Object.fromEntries(
  SIGNS.map((sign) => {
    const icon = icons.get(ICON[sign]);
    if (!icon) throw new Error(`There is no icon for ${sign}.`);
    const svg = renderToStaticMarkup(createElement(icon));
    const inner = svg.slice(svg.indexOf(">") + 1);
    return [sign, [...inner.matchAll(/<(\w+)([^>]*)>/g)].map(([, tag, text]) => pathOf(tag, text)).join("")];
  }),
);
writeFileSync(
  "src/core/chart/style/sign-paths.ts",
  `// Made by scripts/make-signs.mjs out of lucide-react's icons. Do not edit.
import type { Sign } from "../../timeline/sign-names";

/** The signs as paths on a field of 24 by 24, to be drawn with a pen of SIGN_PEN. */
export const SIGN_PATHS: Record<Exclude<Sign, "">, string> = ${JSON.stringify(paths, null, 2)};
export const SIGN_FIELD = 24;
export const SIGN_PEN = 2.4;
`,
);
