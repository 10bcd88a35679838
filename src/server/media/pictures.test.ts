import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { edit, must } from "../testing/school";
import { start, upload, webm } from "../testing/media";
import { withTestDatabase } from "../testing/test-database";
import { blobResponse } from "./blobs";
import { collectMedia } from "./collect";
import { findDraftFile } from "./find-file";
import { publish } from "../publishing/publish";
import { linkPreview } from "./link-preview";
import { cutPicture } from "./make-media";
import { encodePicture, tonesOf } from "./pictures";

withTestDatabase("pictures");

/** The bytes that are given for a size of a medium, and what sharp says of them. */
async function given(of: { timeline: string }, media: string, size: string) {
  const blob = (await findDraftFile(of.timeline, media, size))!;
  const bytes = Buffer.from(await blobResponse(new Request("http://localhost/"), blob, "").arrayBuffer());
  return { bytes, meta: await sharp(bytes, { animated: true }).metadata() };
}

async function uploaded(of: { account: string; timeline: string }, bytes: Uint8Array, name = "x") {
  const done = await upload(of, bytes, name);
  if (isFailure(done)) throw new Error(done.failed);
  return done.media;
}

/** Four quarters of one colour each: red, green, blue, white, from the left above. */
async function quarters(width: number, height: number) {
  const part = (background: string, left: number, top: number) => ({
    input: { create: { width: width / 2, height: height / 2, channels: 3 as const, background } },
    left,
    top,
  });
  return sharp({ create: { width, height, channels: 3, background: "#ffffff" } })
    .composite([part("#ff0000", 0, 0), part("#00ff00", width / 2, 0), part("#0000ff", 0, height / 2)])
    .png()
    .toBuffer();
}

const mainColour = async (bytes: Buffer) => {
  const { data } = await sharp(bytes)
    .removeAlpha()
    .resize(1, 1, { fit: "fill" })
    .raw()
    .toBuffer({ resolveWithObject: true });
  return [...data].map((v) => (v > 128 ? 1 : 0)).join("");
};

describe("what has to be told from a picture", () => {
  const plain = (background: string, width = 100, height = 100) =>
    sharp({ create: { width, height, channels: 3, background } });
  it("is its darkest and its lightest, of which dust is none", async () => {
    const spot = (colour: string) => plain(colour, 20, 20).png().toBuffer();
    const bytes = await plain("#808080")
      .composite([
        { input: await spot("#102030"), left: 0, top: 0 },
        { input: await spot("#f0f0e0"), left: 70, top: 70 },
        { input: await plain("#ffffff", 1, 1).png().toBuffer(), left: 50, top: 50 },
      ])
      .png()
      .toBuffer();
    expect(await tonesOf(bytes)).toEqual({ dark: "#102030", light: "#f0f0e0" });
    const encoded = await encodePicture(bytes);
    expect(encoded).toMatchObject({
      tones: { dark: expect.stringMatching(/^#[01]/), light: expect.stringMatching(/^#[ef]/) },
    });
  });
  it("is white where nothing is painted", async () => {
    const clear = await sharp({
      create: { width: 9, height: 9, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
    })
      .png()
      .toBuffer();
    expect(await tonesOf(clear)).toEqual({ dark: "#ffffff", light: "#ffffff" });
  });
  it("is found in a picture of 60 megapixels too", { timeout: 60_000 }, async () => {
    const large = await plain("#204060", 10_000, 6_000).jpeg({ quality: 60 }).toBuffer();
    expect(await encodePicture(large)).toMatchObject({
      width: 6_000,
      height: 3_600,
      tones: { dark: expect.stringMatching(/^#[12]/) },
    });
  });
});

describe("a part of a picture", () => {
  /** One picture that all parts are cut out of: none of them alters it. */
  const large = async () => {
    const of = await start();
    return { of, whole: await uploaded(of, await quarters(3000, 2000)) };
  };
  let one: ReturnType<typeof large> | null = null;

  it.each([
    ["green, as it lies", { x: 50, y: 0, width: 50, height: 50, turn: 0 }, "010", [1500, 1000]],
    // Turned clockwise the blue quarter, below on the left, comes to the left above.
    ["blue, turned to the right", { x: 0, y: 0, width: 50, height: 50, turn: 90 }, "001", [1000, 1500]],
    ["white, upside down", { x: 0, y: 0, width: 50, height: 50, turn: 180 }, "111", [1500, 1000]],
    ["green, turned to the left", { x: 0, y: 0, width: 50, height: 50, turn: 270 }, "010", [1000, 1500]],
  ] as const)("is cut out of all the pixels there are: %s", async (_, cut, colour, [width, height]) => {
    one ??= large();
    const { of, whole } = await one;
    expect([whole.width, whole.height]).toEqual([3000, 2000]);
    expect((await given(of, whole.id, "full")).meta.width).toBe(3000);
    const part = await cutPicture(of.timeline, of.account, whole.id, cut);
    if (isFailure(part)) throw new Error(part.failed);
    expect([part.width, part.height]).toEqual([width, height]);
    expect(await mainColour((await given(of, part.id, "large")).bytes)).toBe(colour);
    // The whole is as it was.
    expect((await given(of, whole.id, "large")).meta.width).toBe(2000);
  });

  it("is made only by who may edit, and only of a picture of the timeline", async () => {
    const of = await start();
    const other = await start();
    const whole = await uploaded(of, await quarters(40, 40));
    const cut = { x: 0, y: 0, width: 10, height: 10, turn: 0 } as const;
    await expect(cutPicture(of.timeline, other.account, whole.id, cut)).rejects.toMatchObject({
      failure: { failed: "not_found" },
    });
    expect(await cutPicture(other.timeline, other.account, whole.id, cut)).toMatchObject({ failed: "not_found" });
    const video = await uploaded(of, webm(2_000));
    expect(await cutPicture(of.timeline, of.account, video.id, cut)).toMatchObject({ failed: "not_found" });
  });

  it("keeps the whole it is cut out of, and is kept with it, for as long as one of them is shown", async () => {
    const of = await start();
    const whole = await uploaded(of, await quarters(40, 40));
    const cut = { x: 0, y: 0, width: 50, height: 50, turn: 0 } as const;
    const part = await cutPicture(of.timeline, of.account, whole.id, cut);
    if (isFailure(part)) throw new Error(part.failed);
    const fields = { of: "timeline", list: "media", kind: "picture", media: part.id, cut: { of: whole.id, ...cut } };
    await edit(of.timeline, of.account, { kind: "add_item", id: "i", fields } as never);
    await db()`update media set created_at = now() - interval '10 days'`;
    const left = async () => {
      await collectMedia();
      const rows = await db()<{ id: string }[]>`select id from media where timeline_id = ${of.timeline}`;
      return rows.map((r) => r.id).toSorted();
    };
    const both = [whole.id, part.id].toSorted();
    expect(await left()).toEqual(both);
    // All of it is shown again: the part stays, since history may put it back.
    await db()`update item set media = ${whole.id}, cut = null where timeline_id = ${of.timeline}`;
    expect(await left()).toEqual(both);
    await db()`update item set media = null where timeline_id = ${of.timeline}`;
    expect(await left()).toEqual([]);
  });

  it("is at least a pixel, however little was chosen", async () => {
    const of = await start();
    const whole = await uploaded(of, await quarters(40, 20));
    const part = await cutPicture(of.timeline, of.account, whole.id, {
      x: 100,
      y: 100,
      width: 0.01,
      height: 0.01,
      turn: 0,
    });
    expect(part).toMatchObject({ width: 1, height: 1 });
  });
});

describe("a picture that moves", () => {
  it("keeps its frames beside a first one that stands still", async () => {
    const of = await start();
    const frame = (background: string) =>
      sharp({ create: { width: 60, height: 40, channels: 3, background } })
        .png()
        .toBuffer();
    const gif = await sharp([await frame("#ff0000"), await frame("#0000ff")], { join: { animated: true } })
      .gif()
      .toBuffer();
    const media = await uploaded(of, gif, "bell.gif");
    expect(media).toMatchObject({ moving: true, width: 60, height: 40 });
    expect((await given(of, media.id, "moving")).meta.pages).toBe(2);
    const still = await given(of, media.id, "medium");
    expect(still.meta.pages ?? 1).toBe(1);
    expect(await mainColour(still.bytes)).toBe("100");
    // What does not move is given all the same where frames are asked for.
    const other = await uploaded(of, await quarters(40, 20));
    expect(other.moving).toBe(false);
    expect((await given(of, other.id, "moving")).meta.width).toBe(40);
  });
});

describe("a drawing (SVG)", () => {
  const drawing = (inside: string, head = "") =>
    Buffer.from(
      `${head}<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="40" height="20">${inside}</svg>`,
    );

  it("is painted, large enough to be seen", async () => {
    const of = await start();
    const media = await uploaded(
      of,
      drawing('<rect width="40" height="20" fill="#00ff00"/>', '<?xml version="1.0"?>\n<!-- a roof -->\n'),
    );
    expect(media).toMatchObject({ kind: "picture", width: 1333 });
    const painted = await given(of, media.id, "large");
    expect(painted.meta.format).toBe("webp");
    expect(await mainColour(painted.bytes)).toBe("010");
  });

  it("draws nothing that lies outside of it, and runs nothing", async () => {
    const of = await start();
    let asked = 0;
    const site = createServer((_, response) => {
      asked++;
      response.end(png);
    });
    const png = await quarters(20, 20);
    await new Promise<void>((resolve) => site.listen(0, "127.0.0.1", resolve));
    const address = `http://127.0.0.1:${(site.address() as AddressInfo).port}/x.png`;
    const folder = await mkdtemp(join(tmpdir(), "fastigo-drawing-"));
    await writeFile(
      join(folder, "secret.png"),
      await sharp({ create: { width: 20, height: 20, channels: 3, background: "#ff0000" } })
        .png()
        .toBuffer(),
    );
    const media = await uploaded(
      of,
      drawing(
        `<rect width="40" height="20" fill="#0000ff"/><image width="40" height="20" xlink:href="file://${folder}/secret.png"/><image width="40" height="20" href="${address}"/><script>document.documentElement.remove()</script><use href="${address}#a"/><style>@import url("${address}");</style>`,
        `<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/hostname">]>`,
      ),
    );
    expect(await mainColour((await given(of, media.id, "large")).bytes)).toBe("001");
    expect(asked).toBe(0);
    site.close();
    await rm(folder, { recursive: true });
  });

  it("that is broken, or would be larger than any wall, is refused", async () => {
    const of = await start();
    expect(await upload(of, Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><rect'))).toMatchObject({
      failed: "picture_broken",
    });
    const huge = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="30000" height="30000"><rect width="9" height="9"/></svg>',
    );
    expect(await upload(of, huge)).toMatchObject({ failed: "picture_pixels" });
    const laughs = Buffer.from(
      `<!DOCTYPE svg [<!ENTITY a "ha">${"bcdefghijk"
        .split("")
        .map((c, i) => `<!ENTITY ${c} "${`&${"abcdefghij"[i]};`.repeat(10)}">`)
        .join("")}]><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><text>&k;</text></svg>`,
    );
    expect(await upload(of, laughs)).toMatchObject({ failed: expect.stringMatching(/^picture_/) });
  });
});

it("a picture as phones keep them is named, and how it can be had otherwise", async () => {
  const of = await start();
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from("ftypheic\0\0\0\0mif1heic"), Buffer.alloc(200)]);
  expect(await upload(of, heic, "IMG_1.HEIC")).toEqual({ failed: "picture_unread" });
});

it("the picture of a link is cut before it is enlarged, so that a picture of one pixel's width is no harm, and made once", async () => {
  const of = await start();
  const tall = await sharp({ create: { width: 2, height: 1_900, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  const { media } = must(await upload(of, tall, "tall.png"));
  const fields = { of: "timeline", list: "media", kind: "picture", media: media.id } as const;
  await edit(of.timeline, of.account, { kind: "add_item", id: "cover", fields });
  await edit(of.timeline, of.account, { kind: "add_event", id: "e", fields: { title: "Flood" } });
  must(await publish(of.timeline, of.account, { visibility: "link" }, true));
  const [v] = await db()<{ id: string }[]>`select id from version where timeline_id = ${of.timeline}`;
  let asked = 0;
  const cover = async () => {
    asked++;
    return { media: media.id, focus: { x: 50, y: 100 } };
  };
  const [one, two] = await Promise.all([
    linkPreview(v!.id, cover, async () => null),
    linkPreview(v!.id, cover, async () => null),
  ]);
  expect(must(await linkPreview(v!.id, cover, async () => null))).toBe(one);
  expect([one === two, asked]).toEqual([true, 1]);
  const { width, height, format } = await sharp(one as Uint8Array).metadata();
  expect([width, height, format]).toEqual([1_200, 630, "jpeg"]);
  expect(
    await linkPreview(
      "another",
      async () => null,
      async () => null,
    ),
  ).toMatchObject({ failed: "not_found" });
});
