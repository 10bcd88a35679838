import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { blackPng, noise, start, upload, webm } from "../testing/media";
import { blankPosition } from "./blank-position";
import { blobResponse } from "./blobs";
import { PIECE } from "./stores";
import { fetchPicture } from "./fetch-picture";
import { fetchTable } from "./fetch-table";
import { isPublicAddress } from "./guarded-get";
import { findDraftFile } from "./find-file";
import { putStill } from "./make-media";
import { arrivedPieces, beginUpload, finishUpload, putPiece } from "./uploads";

withTestDatabase("media");

describe("an upload", () => {
  it("of a picture with position and camera data is stored without them, upright, in three sizes", async () => {
    const of = await start();
    const jpeg = await sharp({ create: { width: 1200, height: 800, channels: 3, background: "#0B6E69" } })
      .withExif({ IFD0: { Make: "Ambrel Cameras", Orientation: "6" }, IFD3: { GPSLatitude: "51/1 30/1 0/1" } })
      .jpeg()
      .toBuffer();
    expect(jpeg.includes("Ambrel Cameras")).toBe(true);
    const done = await upload(of, jpeg, "photo.jpg");
    if (isFailure(done)) throw new Error(done.failed);
    expect(done.media.kind).toBe("picture");
    for (const size of ["small", "medium", "large"]) {
      const blob = (await findDraftFile(of.timeline, done.media.id, size))!;
      const bytes = Buffer.from(await blobResponse(new Request("http://localhost/"), blob, "").arrayBuffer());
      const meta = await sharp(bytes).metadata();
      expect(meta.format).toBe("webp");
      expect(meta.exif).toBeUndefined();
      expect(bytes.includes("Ambrel Cameras")).toBe(false);
    }
  });

  it("that broke off is taken up again where it stopped", async () => {
    const of = await start();
    const bytes = webm(3 * PIECE + 500);
    const begun = await beginUpload(of.timeline, of.account, "film.webm", bytes.length);
    if (isFailure(begun)) throw new Error(begun.failed);
    const put = (n: number, part = bytes.subarray(n * PIECE, (n + 1) * PIECE)) =>
      putPiece(of.timeline, of.account, begun.upload, n, part);
    await put(0);
    expect(await put(1, bytes.subarray(PIECE, PIECE + 4000))).toMatchObject({ failed: "piece_size" });
    await put(3);
    expect(await finishUpload(of.timeline, of.account, begun.upload)).toMatchObject({ failed: "piece_missing" });
    expect(await arrivedPieces(of.timeline, of.account, begun.upload)).toMatchObject({ arrived: [0, 3] });
    await put(1);
    await put(2);
    const done = await finishUpload(of.timeline, of.account, begun.upload);
    if (isFailure(done)) throw new Error(done.failed);
    expect(await finishUpload(of.timeline, of.account, begun.upload)).toEqual(done);
    // Whoever did not hear of its end sends nothing again.
    expect(await arrivedPieces(of.timeline, of.account, begun.upload)).toMatchObject({ arrived: [0, 1, 2, 3] });
    const blob = (await findDraftFile(of.timeline, done.media.id, "whole"))!;
    expect(
      Buffer.from(await blobResponse(new Request("http://localhost/"), blob, "").arrayBuffer()).equals(
        Buffer.from(bytes),
      ),
    ).toBe(true);
  });

  it.each<[string, string, () => Promise<Uint8Array>]>([
    ["a text file named .png", "file_kind", async () => new TextEncoder().encode("not a picture at all".repeat(20))],
    ["a script named .jpg", "file_kind", async () => new TextEncoder().encode("<script>alert(1)</script>".repeat(20))],
    [
      "several drawings in one file",
      "picture_broken",
      async () =>
        new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'.repeat(5)),
    ],
    [
      "a damaged picture",
      "picture_broken",
      async () =>
        (
          await sharp({ create: { width: 400, height: 400, channels: 3, background: "red" } })
            .jpeg()
            .toBuffer()
        ).subarray(0, 700),
    ],
    ["a picture of 30,000 x 30,000", "picture_pixels", async () => blackPng(30_000, 30_000)],
  ])("of %s is refused as %s and not kept", async (_, code, make) => {
    const of = await start();
    expect(await upload(of, await make(), "x.png")).toMatchObject({ failed: code });
    expect(await db()`select id from upload where timeline_id = ${of.timeline}`).toHaveLength(0);
  });

  it("that is empty, too large, or for somebody else's timeline is refused before it begins", async () => {
    const of = await start();
    expect(await beginUpload(of.timeline, of.account, "x", 0)).toMatchObject({ failed: "file_empty" });
    expect(await beginUpload(of.timeline, of.account, "x", 201 * PIECE)).toMatchObject({ failed: "video_large" });
    expect(await beginUpload(of.timeline, (await makePerson()).id, "x", 10)).toMatchObject({ failed: "not_found" });
  });

  it("of the same bytes by two people is stored once and reached only by each one's own timeline", async () => {
    const [a, b] = [await start(), await start()];
    const bytes = webm(5000);
    const [one, two] = [await upload(a, bytes), await upload(b, bytes)];
    if (isFailure(one) || isFailure(two)) throw new Error("not stored");
    const blob = (await findDraftFile(a.timeline, one.media.id, "whole"))!;
    expect((await findDraftFile(b.timeline, two.media.id, "whole"))!.hash).toBe(blob.hash);
    expect(await findDraftFile(b.timeline, one.media.id, "whole")).toBeNull();
    expect(await db()`select hash from blob where hash = ${blob.hash}`).toHaveLength(1);
  });
});

describe("a file", () => {
  it.each<[string, number, number, number | null]>([
    ["bytes=0-9", 206, 0, 10],
    ["bytes=1048570-1048580", 206, 1_048_570, 11],
    ["bytes=2000000-", 206, 2_000_000, null],
    ["bytes=-100", 206, -100, 100],
    ["bytes=9999999-", 416, 0, 0],
    ["apples=1", 200, 0, null],
  ])("asked for %s answers %d with those bytes", async (range, status, from, length) => {
    const of = await start();
    const bytes = webm(2 * PIECE + 777);
    const done = await upload(of, bytes);
    if (isFailure(done)) throw new Error(done.failed);
    const blob = (await findDraftFile(of.timeline, done.media.id, "whole"))!;
    const response = blobResponse(new Request("http://localhost/", { headers: { range } }), blob, "");
    expect(response.status).toBe(status);
    if (status === 416) return;
    const begin = from < 0 ? bytes.length + from : from;
    const wanted = Buffer.from(bytes.subarray(begin, length === null ? undefined : begin + length));
    expect(Buffer.from(await response.arrayBuffer()).equals(wanted)).toBe(true);
    expect(response.headers.get("x-content-type-options")).toBe("nosniff");
    expect(response.headers.get("content-security-policy")).toContain("sandbox");
  });

  it("is read by many at once, of whom some go in the middle, while others ask for something else", async () => {
    const of = await start();
    const bytes = webm(2 * PIECE + 100);
    const done = await upload(of, bytes, "film.webm");
    if (isFailure(done)) throw new Error(done.failed);
    const blob = (await findDraftFile(of.timeline, done.media.id, "whole"))!;
    const ask = () => blobResponse(new Request("http://localhost/"), blob, "");
    const whole = async () => Buffer.from(await ask().arrayBuffer()).equals(bytes);
    const left = async () => {
      const reader = ask().body!.getReader();
      const { done } = await reader.read();
      await reader.cancel();
      return !done;
    };
    const other = async () => (await db()<{ n: number }[]>`select 1 as n`)[0]!.n === 1;
    const all = await Promise.all(Array.from({ length: 30 }, () => [whole(), left(), other()]).flat());
    expect(all.filter((right) => !right)).toEqual([]);
    expect(await whole()).toBe(true);
  });
});

describe("the position in a phone's film", () => {
  const box = (type: string, ...parts: Uint8Array[]) => {
    const body = Buffer.concat(parts);
    const head = Buffer.alloc(8);
    head.writeUInt32BE(body.length + 8);
    head.write(type, 4, "latin1");
    return Buffer.concat([head, body]);
  };
  it("is blanked in the movie and its tracks; everything else stays byte for byte", async () => {
    const place = box("\u00a9xyz", Buffer.from("\0\u0012\u0015\u00c7+51.5000-000.1200/", "latin1"));
    const media = box("mdat", noise(300));
    const file = Buffer.concat([
      box("ftyp", Buffer.from("isom")),
      media,
      box("moov", box("mvhd", noise(20)), box("udta", place), box("trak", box("tkhd", noise(30)), box("udta", place))),
    ]);
    const blanked = await blankPosition({
      size: file.length,
      read: async (o, n) => new Uint8Array(file.subarray(o, o + n)),
      write: async (o, b) => void file.set(b, o),
    });
    expect(blanked).toBe(2);
    expect(file.includes("+51.5")).toBe(false);
    expect(file.includes(media)).toBe(true);
    expect(file.includes(box("mvhd", noise(20)))).toBe(true);
  });
});

describe("a picture by its address", () => {
  let server: Server;
  let host: string;
  beforeAll(async () => {
    const png = await sharp({ create: { width: 30, height: 20, channels: 3, background: "#B4481E" } })
      .png()
      .toBuffer();
    server = createServer((request, response) => {
      const path = request.url ?? "";
      if (path === "/picture.png") response.end(png);
      else if (path === "/table.csv") response.end("When,Title\n1846,Bell\n");
      else if (path === "/table")
        response.writeHead(200, { "Content-Type": "text/html" }).end("<table><tr><td>1</table>");
      else if (path === "/moved") response.writeHead(302, { Location: "/picture.png" }).end();
      else if (path === "/inside") response.writeHead(302, { Location: "http://169.254.169.254/latest" }).end();
      else if (path === "/round") response.writeHead(302, { Location: "/round" }).end();
      else if (path === "/page") response.end("<html><body>Hello</body></html>".repeat(30));
      else if (path === "/said-huge") response.writeHead(200, { "Content-Length": String(30 * PIECE) }).end();
      else if (path === "/huge" || path === "/endless") {
        const timer = setInterval(() => response.write(Buffer.alloc(path === "/huge" ? 200_000 : 1)), 5);
        response.on("close", () => clearInterval(timer));
      } else response.writeHead(404).end();
    });
    await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
    host = `127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(() => server.closeAllConnections());

  const ask = (path: string, more = {}) =>
    fetchPicture(`http://${host}${path}`, { allowed: [host], timeMs: 700, mostBytes: 1_000_000, ...more });

  it("is fetched, also after a redirect", async () => {
    expect(await ask("/picture.png")).toMatchObject({ name: "picture.png" });
    expect(await ask("/moved")).toMatchObject({ name: "picture.png" });
  });

  it.each<[string, string]>([
    ["/inside", "address_private"],
    ["/round", "address_unreachable"],
    ["/page", "address_no_picture"],
    ["/said-huge", "address_large"],
    ["/huge", "address_large"],
    ["/endless", "address_slow"],
    ["/nothing", "address_unreachable"],
  ])("%s is refused as %s", async (path, code) => expect(await ask(path)).toMatchObject({ failed: code }));

  it("a table is fetched by the same guards, and is what its name or its server says", async () => {
    const table = (path: string) =>
      fetchTable(`http://${host}${path}`, { allowed: [host], timeMs: 700, mostBytes: 1_000_000 });
    expect(await table("/table.csv")).toMatchObject({ name: "table.csv" });
    expect(await table("/table")).toMatchObject({ name: "table.html" });
    expect(await table("/picture.png")).toMatchObject({ failed: "address_no_table" });
    expect(await table("/inside")).toMatchObject({ failed: "address_private" });
    expect(await table("/huge")).toMatchObject({ failed: "address_large" });
    expect(await fetchTable("http://127.0.0.1/x.csv")).toMatchObject({ failed: "address_private" });
  });

  it.each([
    "http://127.0.0.1/x.png",
    "http://localhost/x.png",
    "http://[::1]/x.png",
    "http://[::ffff:127.0.0.1]/x.png",
    "http://10.0.0.1/x",
    "http://0.0.0.0/x",
    "http://2130706433/x",
  ])("%s is private and never asked", async (address) =>
    expect(await fetchPicture(address)).toMatchObject({ failed: "address_private" }),
  );

  it.each(["ftp://hollinbank.example/x.png", "file:///etc/passwd", "javascript:alert(1)", "picture.png"])(
    "%s is no web address",
    async (address) => expect(await fetchPicture(address)).toMatchObject({ failed: "address_malformed" }),
  );

  it("knows what is public", () => {
    expect(["93.184.216.34", "2606:2800:220:1::1"].every(isPublicAddress)).toBe(true);
    expect(
      [
        "127.0.0.1",
        "192.168.1.1",
        "172.16.0.9",
        "169.254.1.1",
        "100.64.0.1",
        "::1",
        "fe80::1",
        "fd00::1",
        "::ffff:10.0.0.1",
        "224.0.0.1",
        "nonsense",
      ].some(isPublicAddress),
    ).toBe(false);
  });
});

describe("the still of a video", () => {
  const drawn = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: "#1F5FA8" } })
      .jpeg()
      .toBuffer();

  it("is stored in three sizes beside the video, once, and is what is given in those sizes", async () => {
    const of = await start();
    const done = await upload(of, webm(5_000), "film.webm");
    if (isFailure(done)) throw new Error(done.failed);
    const { id } = done.media;
    expect(await putStill(of.timeline, of.account, id, await drawn(960, 600))).toMatchObject({
      id,
      width: 960,
      height: 600,
    });
    const first = await findDraftFile(of.timeline, id, "small");
    expect([first!.type, (await findDraftFile(of.timeline, id, "whole"))!.type]).toEqual(["image/webp", "video/webm"]);
    // Sent again it stays as it is.
    expect(await putStill(of.timeline, of.account, id, await drawn(300, 300))).toMatchObject({
      id,
      width: 960,
      height: 600,
    });
    expect((await findDraftFile(of.timeline, id, "small"))!.hash).toBe(first!.hash);
  });

  it("is chosen anew: the video becomes media once more over the same bytes, and what shows it as before is left", async () => {
    const of = await start();
    const film = await upload(of, webm(5_000), "film.webm");
    if (isFailure(film)) throw new Error(film.failed);
    const { id } = film.media;
    await putStill(of.timeline, of.account, id, await drawn(960, 600));
    const stills = async (media: string) => (await findDraftFile(of.timeline, media, "small"))!.hash;
    const before = await stills(id);
    const again = await putStill(of.timeline, of.account, id, await drawn(600, 960), true);
    if (isFailure(again)) throw new Error(again.failed);
    expect(again).toMatchObject({ kind: "video", name: "film.webm", width: 600, height: 960 });
    expect(again.id).not.toBe(id);
    expect(await stills(again.id)).not.toBe(before);
    expect(await stills(id)).toBe(before);
    const whole = async (media: string) => (await findDraftFile(of.timeline, media, "whole"))!.hash;
    expect(await whole(again.id)).toBe(await whole(id));
  });

  it("is refused of what is no video, is no picture, is not there, or by who may not edit", async () => {
    const of = await start();
    const stranger = await start();
    const picture = await upload(of, await drawn(80, 60), "p.jpg");
    const film = await upload(of, webm(5_000), "film.webm");
    if (isFailure(picture) || isFailure(film)) throw new Error("not uploaded");
    const still = await drawn(80, 60);
    expect(await putStill(of.timeline, of.account, picture.media.id, still)).toMatchObject({ failed: "no_video" });
    expect(await putStill(of.timeline, of.account, "nothing", still)).toMatchObject({ failed: "not_found" });
    expect(await putStill(of.timeline, of.account, film.media.id, noise(900))).toMatchObject({
      failed: "picture_broken",
    });
    await expect(putStill(of.timeline, stranger.account, film.media.id, still)).rejects.toThrow();
    expect(await findDraftFile(of.timeline, film.media.id, "small")).toMatchObject({ type: "video/webm" });
  });
});
