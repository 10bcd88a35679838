import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { createServer, request, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { brotliDecompressSync, gunzipSync } from "node:zlib";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { givePacked, packFiles, readFonts, readPacked } from "./packed.mjs";

const SCRIPT = 'console.log("The rope ferry of the Ambrel, 洪水");\n'.repeat(200);
let folder: string;
let server: Server;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "fastigo-packed-"));
  mkdirSync(join(folder, "chunks"));
  writeFileSync(join(folder, "chunks", "ferry.js"), SCRIPT);
  writeFileSync(join(folder, "chunks", "none.css"), "");
  writeFileSync(join(folder, "chunks", "letter.woff2"), "letters");
  // Of a build before: gone with the file it was made of.
  writeFileSync(join(folder, "chunks", "old.js.br"), "old");
  await packFiles(folder);
  mkdirSync(join(folder, "fonts"));
  writeFileSync(join(folder, "fonts", "ridge.woff2"), "letters");
  writeFileSync(join(folder, "fonts", "LICENSE-ridge.txt"), "SIL Open Font License");
  const packed = new Map([
    ...readPacked(folder),
    ...readPacked(join(folder, "chunks"), "/reader/", "b2"),
    ...readFonts(join(folder, "fonts")),
  ]);
  server = createServer((asked, answer) => {
    if (givePacked(packed, asked, answer)) return;
    answer.writeHead(299);
    answer.end("asked further");
  });
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
});
afterAll(async () => {
  await new Promise((done) => server.close(done));
  rmSync(folder, { recursive: true });
});

/** What is answered, as it comes over the line. */
const ask = (path: string, headers: Record<string, string> = {}, method = "GET") =>
  new Promise<{
    status: number;
    encoding: string | undefined;
    type: string | undefined;
    kept: string | undefined;
    bytes: Buffer;
  }>((done) => {
    const { port } = server.address() as AddressInfo;
    request({ host: "127.0.0.1", port, path, method, headers }, (answer) => {
      const parts: Buffer[] = [];
      answer.on("data", (part: Buffer) => parts.push(part));
      answer.on("end", () =>
        done({
          status: answer.statusCode!,
          encoding: answer.headers["content-encoding"],
          type: answer.headers["content-type"],
          kept: answer.headers["cache-control"],
          bytes: Buffer.concat(parts),
        }),
      );
    }).end();
  });
const FERRY = "/_next/static/chunks/ferry.js";

describe("what pages load", () => {
  it.each([
    ["gzip, deflate, br, zstd", "br"],
    ["br;q=0.5, gzip", "br"],
    ["gzip, deflate", "gzip"],
    ["br;q=0, gzip;q=1.0", "gzip"],
    ["GZIP", undefined],
    ["identity", undefined],
    ["", undefined],
  ])("comes to who takes %j as %s", async (accepts, encoding) => {
    const answer = await ask(FERRY, { "accept-encoding": accepts });
    expect(answer.encoding).toBe(encoding);
    expect(answer.status).toBe(encoding ? 200 : 299);
    if (!encoding) return;
    expect(answer.type).toBe("application/javascript; charset=UTF-8");
    const text = encoding === "br" ? brotliDecompressSync(answer.bytes) : gunzipSync(answer.bytes);
    expect(text.toString()).toBe(SCRIPT);
    expect(answer.bytes.length).toBeLessThan(SCRIPT.length / 10);
  });

  it("is left to the framework where it is asked for in another way, or is no such file", async () => {
    const br = { "accept-encoding": "br" };
    for (const [path, headers, method] of [
      [FERRY, { ...br, range: "bytes=0-9" }, "GET"],
      [FERRY, { ...br, "if-none-match": 'W/"1"' }, "GET"],
      [FERRY, br, "HEAD"],
      [FERRY, br, "POST"],
      ["/_next/static/chunks/old.js", br, "GET"],
      ["/_next/static/chunks/ferry.js.br", br, "GET"],
      ["/_next/static/chunks/letter.woff2", br, "GET"],
      ["/_next/static/../static/chunks/ferry.js", br, "GET"],
      ["/_next/static/chunks/", br, "GET"],
    ] as const)
      expect([path, (await ask(path, headers, method)).status]).toEqual([path, 299]);
    expect((await ask("/_next/static/chunks/none.css", br)).type).toBe("text/css; charset=UTF-8");
  });

  it("comes under its build's name where it is called the same in every build, and is kept for good only so", async () => {
    const br = { "accept-encoding": "br" };
    const answer = await ask("/reader/ferry.js?b2", br);
    expect([answer.status, answer.encoding, answer.kept]).toEqual([200, "br", "public, max-age=31536000, immutable"]);
    expect(brotliDecompressSync(answer.bytes).toString()).toBe(SCRIPT);
    for (const path of ["/reader/ferry.js", "/reader/ferry.js?b1", "/reader/ferry.js?", "/reader/ferry.js?b2&x"])
      expect([path, (await ask(path, br)).status]).toEqual([path, 299]);
  });

  it("is type as it stands, kept for a week without being asked for again", async () => {
    const answer = await ask("/fonts/ridge.woff2", { "accept-encoding": "br" });
    expect(answer).toMatchObject({
      status: 200,
      type: "font/woff2",
      encoding: undefined,
      kept: "public, max-age=604800",
    });
    expect(answer.bytes.toString()).toBe("letters");
    // Who has it from when it was asked for each time gets it anew, and asks no more.
    expect((await ask("/fonts/ridge.woff2", { "if-none-match": 'W/"1"' })).status).toBe(200);
    expect((await ask("/fonts/ridge.woff2", { range: "bytes=0-1" })).status).toBe(299);
    expect((await ask("/fonts/LICENSE-ridge.txt")).status).toBe(299);
  });

  it("is packed anew with each build, and nothing stays of the one before", async () => {
    expect(existsSync(join(folder, "chunks", "old.js.br"))).toBe(false);
    await packFiles(folder);
    expect(readdirSync(join(folder, "chunks")).sort()).toEqual(
      ["ferry.js", "ferry.js.br", "ferry.js.gz", "letter.woff2", "none.css", "none.css.br", "none.css.gz"].sort(),
    );
    expect(readPacked(join(folder, "nowhere")).size).toBe(0);
  });
});
