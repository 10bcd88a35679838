// What pages load of the build, and their type: packed once, when it is built, and kept in memory where it is served. A page has many of
// these files; asking the framework for each, which looks for it on the disk and packs it anew, costs a server more than the page itself.
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { promisify } from "node:util";
import { brotliCompress, constants, gzip } from "node:zlib";

const TYPES = { js: "application/javascript; charset=UTF-8", css: "text/css; charset=UTF-8" };
/** Where browsers find them. */
const AT = "/_next/static/";
/** How they are packed: the ending of the file beside, as HTTP names it, and with what. The best first. */
const WAYS = [
  {
    ending: "br",
    name: "br",
    pack: (bytes) => promisify(brotliCompress)(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
  },
  { ending: "gz", name: "gzip", pack: (bytes) => promisify(gzip)(bytes, { level: 9 }) },
];

const typeOf = (name) => TYPES[/\.(\w+)$/.exec(name)?.[1]];
/** Their names, from the folder on. */
const names = (folder) => readdirSync(folder, { recursive: true }).map((name) => name.replaceAll("\\", "/"));

/** Packs the files of a folder, beside them. */
export async function packFiles(folder) {
  for (const name of names(folder)) if (/\.(br|gz)$/.test(name)) rmSync(join(folder, name));
  for (const name of names(folder)) {
    if (!typeOf(name)) continue;
    const bytes = readFileSync(join(folder, name));
    const packed = await Promise.all(WAYS.map((way) => way.pack(bytes)));
    for (const [k, way] of WAYS.entries()) writeFileSync(join(folder, `${name}.${way.ending}`), packed[k]);
  }
}

/**
 * Reads what was packed, by its address; empty where nothing was. `at`: where browsers find the folder. `build`: of files that are called
 * the same in every build, which a page asks for with the build's name behind; one of another build, or of none, is not among them.
 */
export function readPacked(folder, at = AT, build = "") {
  const packed = new Map();
  if (!existsSync(folder)) return packed;
  for (const name of names(folder)) {
    const type = typeOf(name);
    const files = WAYS.map((way) => join(folder, `${name}.${way.ending}`));
    if (type && files.every((file) => existsSync(file)))
      packed.set(`${at}${name}${build && `?${build}`}`, { type, bytes: files.map((file) => readFileSync(file)) });
  }
  return packed;
}

const FONTS_AT = "/fonts/";
/** A browser keeps type for so long, seconds, without asking whether it is another by now: a week. */
const FONT_AGE = 604_800;

/** Reads the files of type in a folder, which are packed in themselves. */
export function readFonts(folder) {
  const found = new Map();
  for (const name of names(folder))
    if (name.endsWith(".woff2"))
      found.set(FONTS_AT + name, { type: "font/woff2", whole: readFileSync(join(folder, name)) });
  return found;
}

/** Whether a browser takes what is packed that way: named, and not refused by a weight of nothing. */
const takes = (accepts, name) =>
  accepts.split(",").some((part) => new RegExp(`^\\s*${name}\\s*(;(?!\\s*q=0(\\.0*)?\\s*$)|$)`).test(part));

/** Gives a file that was packed, or is type; false: it is none, or is asked for otherwise, and the framework answers. */
export function givePacked(packed, request, response) {
  if (request.method !== "GET" || request.headers.range) return false;
  const file = packed.get(request.url);
  if (!file) return false;
  if (file.whole) {
    response.writeHead(200, {
      "Content-Type": file.type,
      "Content-Length": file.whole.length,
      "Cache-Control": `public, max-age=${FONT_AGE}`,
      "X-Content-Type-Options": "nosniff",
    });
    response.end(file.whole);
    return true;
  }
  if (request.headers["if-none-match"]) return false;
  const accepts = String(request.headers["accept-encoding"] ?? "");
  const k = WAYS.findIndex((way) => takes(accepts, way.name));
  if (k < 0) return false;
  const bytes = file.bytes[k];
  response.writeHead(200, {
    "Content-Type": file.type,
    "Content-Encoding": WAYS[k].name,
    "Content-Length": bytes.length,
    "Cache-Control": "public, max-age=31536000, immutable",
    "X-Content-Type-Options": "nosniff",
    Vary: "Accept-Encoding",
  });
  response.end(bytes);
  return true;
}
