import { readFileSync } from "node:fs";
import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { db } from "../db/pool";
import { start } from "../testing/media";
import { withTestDatabase } from "../testing/test-database";

withTestDatabase("outside");

const FILM = readFileSync(join(process.cwd(), "scripts", "demo", "media", "spring-flood.webm"));
let site: Server;
let host = "";
/** The same server by another name: a site of which no player is allowed. */
let other = "";
const asked: string[] = [];

beforeAll(async () => {
  const png = await sharp({ create: { width: 300, height: 200, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  const described = (html: string, more: object = {}) =>
    JSON.stringify({
      version: "1.0",
      type: "video",
      title: "Flood",
      author_name: "Club",
      provider_name: "Films",
      html,
      ...more,
    });
  site = createServer((request, response) => {
    const url = new URL(request.url!, `http://${host}`);
    asked.push(url.pathname + url.search);
    const send = (type: string, body: string | Buffer) => response.writeHead(200, { "Content-Type": type }).end(body);
    const about = url.searchParams.get("url") ?? "";
    if (url.pathname === "/oembed") {
      const frame = `<iframe src="http://${host}/player/7"></iframe>`;
      if (about.endsWith("/large"))
        return send("application/json", described(frame, { padding: "x".repeat(10_000_000) }));
      if (about.endsWith("/script")) return send("application/json", described("<script>alert(1)</script>"));
      if (about.endsWith("/elsewhere"))
        return send("application/json", described('<iframe src="https://evil.example/p"></iframe>'));
      if (about.endsWith("/words")) return send("text/html", "Sorry");
      if (about.endsWith("/gone")) return response.writeHead(404).end();
      return send("application/json", described(frame, { width: 960, height: 600, duration: 71 }));
    }
    if (url.pathname === "/picture") return send("image/png", png);
    if (url.pathname === "/film") return send("video/webm", FILM);
    if (url.pathname === "/film-unnamed") return send("application/octet-stream", FILM);
    if (url.pathname === "/text-as-film") return send("video/mp4", "This is no film.");
    if (url.pathname === "/empty-film") return send("video/mp4", "");
    if (url.pathname === "/large-film") {
      response.writeHead(200, { "Content-Type": "video/webm", "Content-Length": 300 * 1_048_576 });
      return response.write(FILM.subarray(0, 5_000));
    }
    if (url.pathname === "/broken-film") {
      response.writeHead(200, { "Content-Type": "video/webm", "Content-Length": FILM.length });
      return response.write(FILM.subarray(0, 50_000), () => request.socket.destroy());
    }
    if (url.pathname === "/inwards")
      return response.writeHead(302, { Location: "http://169.254.169.254/latest" }).end();
    if (url.pathname === "/latin")
      return send("text/html; charset=iso-8859-1", Buffer.from("<title>F\u00e4hre</title>", "latin1"));
    if (url.pathname === "/own")
      return send(
        "text/html",
        `<title>Own</title><link rel=alternate type=application/json+oembed href="http://${host}/oembed?url=x">`,
      );
    if (url.pathname === "/page")
      return send(
        "text/html",
        `<title>The ford</title><meta name=description content="Ways <b>across</b>"><meta name=author content="Ada">`,
      );
    if (url.pathname === "/words") return send("text/plain", "words");
    response.writeHead(404).end();
  });
  await new Promise<void>((resolve) => site.listen(0, "127.0.0.1", resolve));
  host = `127.0.0.1:${(site.address() as AddressInfo).port}`;
  other = host.replace("127.0.0.1", "localhost");
  vi.stubEnv("PRIVATE_PICTURE_HOSTS", other);
  vi.stubEnv("STAND_IN_PLAYER", `http://${host}`);
});
afterAll(() => {
  vi.unstubAllEnvs();
  site.closeAllConnections();
  site.close();
});

const find = async (pasted: string) => {
  const { findOutside } = await import("./outside");
  const of = await start();
  const found = await findOutside(of.timeline, of.account, pasted);
  const [left] = await db()<{ n: number }[]>`
    select count(*)::int as n from upload where timeline_id = ${of.timeline} and media_id is null`;
  expect(left!.n).toBe(0);
  return found;
};

describe("what is at an address", () => {
  it("a picture, a video and one whose type is not said are kept, as what they are", async () => {
    expect(await find(`http://${host}/picture`)).toMatchObject({
      media: { kind: "picture", width: 300 },
      address: `http://${host}/picture`,
    });
    expect(await find(`http://${host}/film`)).toMatchObject({ media: { kind: "video", name: "film" } });
    expect(await find(`http://${host}/film-unnamed`)).toMatchObject({ media: { kind: "video" } });
    expect(await find(`<video controls><source src="http://${other}/film"></video>`)).toMatchObject({
      media: { kind: "video" },
    });
  });
  it("a page of a site whose player is allowed stays there, with what the site says of it", async () => {
    const player = {
      kind: "video",
      player: `http://${host}/player/7`,
      text: "Flood",
      credit: "Club, Films",
      width: 960,
      height: 600,
      length: 71,
    };
    expect(await find(`http://${host}/films/flood`)).toMatchObject({
      outside: player,
      address: `http://${host}/films/flood`,
    });
    expect(asked.at(-1)).toBe(`/oembed?format=json&url=${encodeURIComponent(`http://${host}/films/flood`)}`);
    // Another page that says it has such a player.
    expect(await find(`http://${other}/own`)).toMatchObject({ outside: player });
  });
  it("any other page becomes a card of what it says of itself", async () => {
    expect(await find(`http://${host}/page`)).toMatchObject({
      outside: { kind: "page", player: "", text: "The ford", caption: "Ways <b>across</b>", credit: `Ada, ${host}` },
    });
    expect(await find(`http://${host}/latin`)).toMatchObject({ outside: { kind: "page", text: "Fähre" } });
  });
  it.each([
    ["an answer of 10 MB", "/films/large", "player_unread"],
    ["an answer with a script instead of a player", "/films/script", "player_unread"],
    ["a player that is not allowed", "/films/elsewhere", "player_unread"],
    ["an answer in words", "/films/words", "player_unread"],
    ["no answer", "/films/gone", "player_unread"],
    ["a text that is called a film", "/text-as-film", "file_kind"],
    ["a film without a byte", "/empty-film", "file_empty"],
    ["a film of 300 MB", "/large-film", "address_large"],
    ["a film that breaks off", "/broken-film", "address_unreachable"],
    ["a way into a private network", "/inwards", "address_private"],
    ["words", "/words", "address_no_media"],
    ["nothing", "/nothing", "address_unreachable"],
  ])("%s is refused, and nothing of it is kept", async (_, path, failed) => {
    expect(await find(`http://${host}${path}`)).toMatchObject({ failed });
  });
  it.each([
    ["<b>words only</b>", "embed_empty"],
    ["not an address at all", "address_unreachable"],
    ["http://localhost:1/x", "address_private"],
    ["javascript:alert(1)", "address_malformed"],
  ])("%s: %s", async (pasted, failed) => {
    expect(await find(pasted)).toMatchObject({ failed });
  });
});
