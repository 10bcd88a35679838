import { languageLike } from "@/core/language/asked-language";
import { speakIn } from "@/core/language/spoken";
import { createServer } from "node:http";
import { parseArgs } from "node:util";
import { toFrozen } from "@/core/formats/frozen";
import { dayText } from "@/core/time/zoned";
import { folderEntries } from "@/threads/make-folder";
import { Refusal } from "./layout";
import { readAny } from "./read-any";
import { isZip, read, unzipped } from "./verify";

const TYPES: Record<string, string> = {
  html: "text/html; charset=utf-8",
  js: "text/javascript; charset=utf-8",
  json: "application/json; charset=utf-8",
  csv: "text/csv; charset=utf-8",
  txt: "text/plain; charset=utf-8",
  svg: "image/svg+xml",
  woff2: "font/woff2",
  webp: "image/webp",
  png: "image/png",
  jpg: "image/jpeg",
  gif: "image/gif",
  avif: "image/avif",
  mp4: "video/mp4",
  webm: "video/webm",
  mp3: "audio/mpeg",
  m4a: "audio/mp4",
  ogg: "audio/ogg",
  wav: "audio/wav",
};

/** Serves one file as a page that cannot be changed, on this machine alone, until the process ends. */
export async function serve(args: string[]): Promise<number> {
  const { values, positionals } = parseArgs({ args, allowPositionals: true, options: { port: { type: "string" } } });
  const [file, extra] = positionals;
  if (!file || extra !== undefined) throw new Refusal("One file is needed.");
  const port = Number(values.port ?? 0);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) throw new Refusal(`--port ${values.port} is none.`);
  const entries = await entriesOf(file);
  if (!entries.has("index.html"))
    throw new Refusal(`${file}: there is no index.html in it, so it is no folder of a timeline.`);
  const server = createServer((request, response) => {
    const path = decodeURIComponent((request.url ?? "/").split("?")[0]!).slice(1) || "index.html";
    const found = request.method === "GET" || request.method === "HEAD" ? entries.get(path) : undefined;
    if (!found) return void response.writeHead(404).end();
    response.writeHead(200, {
      "Content-Type": TYPES[path.split(".").at(-1) ?? ""] ?? "application/octet-stream",
      "Content-Length": found.length,
    });
    response.end(request.method === "HEAD" ? undefined : found);
  });
  await new Promise<void>((resolve, reject) => {
    server.once("error", (e: NodeJS.ErrnoException) => reject(new Refusal(`Port ${port} cannot be used: ${e.code}.`)));
    server.listen(port, "127.0.0.1", resolve);
  });
  process.stdout.write(`http://127.0.0.1:${(server.address() as { port: number }).port}/\n`);
  await new Promise<void>((resolve) => {
    for (const signal of ["SIGINT", "SIGTERM"] as const) process.once(signal, () => resolve());
  });
  server.closeAllConnections();
  server.close();
  return 0;
}

async function entriesOf(file: string): Promise<Map<string, Uint8Array>> {
  if (file.toLowerCase().endsWith(".zip")) {
    const bytes = await read(file);
    if (!isZip(bytes)) throw new Refusal(`${file} is no zip.`);
    return new Map(Object.entries(unzipped(file, bytes)));
  }
  const frozen = toFrozen(await readAny(file, {}, (s) => process.stderr.write(`${s}\n`)));
  const alone = { ...frozen, items: frozen.items.filter((i) => !i.media || i.player !== "") };
  const root = process.env.FASTIGO_ROOT ?? process.cwd();
  const entries = await speakIn(languageLike(alone.language), () =>
    folderEntries(alone, { root, day: dayText(new Date(), "UTC"), scorm: false, endings: {} }),
  );
  const encoder = new TextEncoder();
  return new Map(
    entries.map(([path, content]) => [path, typeof content === "string" ? encoder.encode(content) : content]),
  );
}
