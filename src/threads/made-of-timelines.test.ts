// What is made of a timeline and taken away: archives, folders, papers and pictures.
import { createHash } from "node:crypto";
import { PDFDocument } from "pdf-lib";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { isArchivePath, readIndex } from "@/core/formats/archive";
import { USUAL_WISHES } from "@/core/paper/sheets";
import { readWhen } from "@/core/time/read/read-when";
import { db } from "@/server/db/pool";
import { beginFile, findFile, streamFile } from "@/server/files/made-files";
import { findPublished } from "@/server/publishing/published";
import { publish } from "@/server/publishing/publish";
import { upload, webm } from "@/server/testing/media";
import { edit, must, school } from "@/server/testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "@/server/testing/test-database";
import { submit } from "@/server/classes/submit";
import { setDeleted } from "@/server/timelines/create";
import { accountPart, type ArchivePart, archiveClass, archiveTimeline } from "./archive-timeline";
import { folderParts, guide, linkPicture, makePaper, makePicture, planPaper, textSheets } from "./make-files";

withTestDatabase("made_of_timelines");

const sha = (bytes: string | Uint8Array) => createHash("sha256").update(bytes).digest("hex");
const pixels = (background: string) =>
  sharp({ create: { width: 600, height: 300, channels: 3, background } })
    .png()
    .toBuffer();

/** A timeline with a picture and a video that belong to its event, and one that belongs to nothing any more. */
async function illustrated() {
  const nia = await makePerson();
  const id = await makeTimeline(nia.id);
  const of = { account: nia.id, timeline: id };
  const [bridge, film, unused] = [
    must(await upload(of, await pixels("#335577"), "bridge.png")).media.id,
    must(await upload(of, webm(40_000), "film.webm")).media.id,
    must(await upload(of, await pixels("#773355"), "unused.png")).media.id,
  ];
  must(
    await edit(
      id,
      nia.id,
      { kind: "set_timeline", field: "title", value: "Crossings & <tolls>" },
      { kind: "add_event", id: "e1", fields: { title: "Rope ferry", when: readWhen("1604"), note: "Ask Wren" } },
      {
        kind: "add_item",
        id: "i1",
        fields: { of: "e1", list: "media", media: bridge, kind: "picture", text: "A bridge" },
      },
      { kind: "add_item", id: "i2", fields: { of: "e1", list: "media", media: film, kind: "video" } },
    ),
  );
  return { nia, id, bridge, film, unused };
}

/** The files of a part are those its index names, and are what it says of them. */
function expectWhole(part: ArchivePart): Map<string, string> {
  const texts = new Map(part.texts);
  const at = part.texts[0]![0];
  expect(at).toMatch(/\/index\.json$/);
  const index = readIndex(JSON.parse(texts.get(at)!))!;
  const others = part.texts.slice(1);
  expect(index.files.map((f) => f.path)).toEqual([...others.map(([p]) => p), ...part.media.map((m) => m[2])]);
  for (const [path, text] of others) {
    const file = index.files.find((f) => f.path === path)!;
    expect([path, file.size, file.sha256]).toEqual([path, Buffer.byteLength(text), sha(text)]);
  }
  for (const path of [...texts.keys(), ...part.media.map((m) => m[2])])
    expect([path, isArchivePath(path)]).toEqual([path, true]);
  return texts;
}

describe("an archive", () => {
  it("holds a timeline whole: with notes, history, and the media it shows, each with its name and fingerprint", async () => {
    const { id, bridge, film } = await illustrated();
    const part = (await archiveTimeline([id, "owner", 3]))!;
    const texts = expectWhole(part);
    const frozen = JSON.parse(texts.get("timelines/3/timeline.json")!);
    expect(frozen).toMatchObject({ title: "Crossings & <tolls>", events: [{ id: "e1", note: "Ask Wren" }] });
    const changes = JSON.parse(texts.get("timelines/3/history.json")!) as { ops: object[] }[];
    expect(changes.flatMap((c) => c.ops).length).toBeGreaterThanOrEqual(4);
    expect(part.media.map(([, m, path, size]) => [m, path, size]).sort()).toEqual(
      [
        [bridge, `timelines/3/media/${bridge}`, "full"],
        [film, `timelines/3/media/${film}`, "whole"],
      ].sort(),
    );
    const index = readIndex(JSON.parse(texts.get("timelines/3/index.json")!))!;
    expect(index).toMatchObject({ id, role: "owner", title: "Crossings & <tolls>" });
    const names = new Map(index.files.map((f) => [f.path.split("/").at(-1), f]));
    expect([names.get(bridge)!.name, names.get("timeline.json")!.name]).toEqual(["bridge.png", undefined]);
    expect(names.get(film)).toMatchObject({ name: "film.webm", size: 40_000, sha256: sha(webm(40_000)) });
  });

  it("holds nothing of a timeline that is gone, nor of somebody who is not there", async () => {
    expect([await archiveTimeline(["none", "owner", 1]), await accountPart(["none"])]).toEqual([null, null]);
    const nia = await makePerson();
    expect(await accountPart([nia.id])).toContain(nia.email);
  });

  it("holds a class for those who teach it: works without private notes, and as handed in where the draft was deleted", async () => {
    const s = await school();
    must(
      await edit(s.timeline, s.nia.id, { kind: "add_event", id: "e1", fields: { title: "Ferry", note: "Ask Wren" } }),
    );
    must(await submit(s.timeline, s.nia.id));
    must(await edit(s.timeline, s.nia.id, { kind: "set_event", id: "e1", field: "title", value: "Rope ferry" }));
    const parts = (await archiveClass([s.klass, s.teacher.id, 1]))!;
    const [work, klass] = parts.map(expectWhole);
    expect(parts).toHaveLength(2);
    const text = work!.get("classes/1/works/1/timeline.json")!;
    expect(text).toContain("Rope ferry");
    expect(text).not.toContain("Ask Wren");
    expect(JSON.parse(klass!.get("classes/1/class.json")!)).toMatchObject({ name: "History 8B" });
    for (const other of [s.nia.id, (await makePerson("Reed")).id, "none"])
      expect([other, await archiveClass([s.klass, other, 1])]).toEqual([other, null]);
    must(await setDeleted(s.timeline, s.nia.id, true));
    const after = (await archiveClass([s.klass, s.teacher.id, 1]))!;
    expect(new Map(after[0]!.texts).get("classes/1/works/1/timeline.json")).toContain("Ferry");
  });
});

describe("a folder", () => {
  it("has a page that leads to nothing but what lies beside it", async () => {
    const { nia, id, bridge, film, unused } = await illustrated();
    const { entries, media } = (await folderParts([{ timeline: id }, false]))!;
    const paths = new Set([...entries.map(([p]) => p), ...media.flatMap((m) => m.sizes.map(([, path]) => path))]);
    const html = entries.find(([p]) => p === "index.html")![1] as string;
    // Of scripts the addresses, not what stands in them.
    const page = html.replaceAll(/(<script[^>]*>)[\s\S]*?<\/script>/g, "$1");
    const led = [...page.matchAll(/(?:src|href|url)(?:=|\()"?([^"#)\s>]+)/g)].map((m) => m[1]!);
    const local = led.filter((to) => !/^(https?:|data:|#)/.test(to));
    expect(local.length).toBeGreaterThan(3);
    for (const to of local) expect([to, paths.has(to)]).toEqual([to, true]);
    expect(media.map((m) => m.id)).toEqual([bridge, film]);
    expect(JSON.stringify(entries.map(([p]) => p)) + html).not.toContain(unused);
    expect(media[0]!.sizes.map(([size]) => size)).toEqual(["small", "medium", "large"]);
    must(await edit(id, nia.id, { kind: "set_item", id: "i1", field: "moving", value: true }));
    const moves = (await folderParts([{ timeline: id }, false]))!;
    expect(moves.media[0]!.sizes.map(([size]) => size)).toEqual(["small", "medium", "large", "moving"]);
    expect(media[1]!.sizes.at(-1)).toEqual(["whole", `media/${film}/whole.webm`]);
    expect(html).not.toContain("Ask Wren");
    expect(paths.has("imsmanifest.xml")).toBe(false);
    expect(await folderParts([{ timeline: "none" }, false])).toBeNull();
  });

  it("as a learning package names its files, each of which is there", async () => {
    const { id } = await illustrated();
    const { entries } = (await folderParts([{ timeline: id }, true]))!;
    const paths = new Set(entries.map(([p]) => p));
    const manifest = entries.find(([p]) => p === "imsmanifest.xml")![1] as string;
    const named = [...manifest.matchAll(/<file href="([^"]+)"/g)].map((m) => m[1]!);
    expect(named).toContain("index.html");
    for (const file of named) expect([file, paths.has(file)]).toEqual([file, true]);
    expect(manifest).toContain("<title>Crossings &amp; &lt;tolls&gt;</title>");
    expect(manifest.match(/<title>/g)).toHaveLength(2);
    expect(entries.find(([p]) => p === "index.html")![1]).toContain('src="reader/scorm.js"');
  });
});

describe("a file that is made", () => {
  async function begun(kind: "pdf" | "png" | "svg") {
    const { nia, id } = await illustrated();
    const about = { account: nia.id, timeline: id, name: `x.${kind}`, type: "application/octet-stream" };
    return { nia, id, file: await db().begin((tx) => beginFile(tx, about)) };
  }
  const bytesOf = async (file: string) => Buffer.from(await new Response(streamFile(file)).arrayBuffer());

  it("is a PDF whose plan says the same as it does", async () => {
    const { nia, id, file } = await begun("pdf");
    expect(await makePaper([file, { timeline: id }, USUAL_WISHES, 0])).toBe(true);
    const made = (await findFile(file, nia.id))!;
    expect(made.madeAt).not.toBeNull();
    const { sheets, notices } = (await planPaper([{ timeline: id }, USUAL_WISHES]))!;
    expect([sheets, notices]).toEqual([(await PDFDocument.load(await bytesOf(file))).getPageCount(), made.notices]);
    expect(await makePaper([file, { timeline: "none" }, USUAL_WISHES, 0])).toBeNull();
    expect(await planPaper([{ timeline: "none" }, USUAL_WISHES])).toBeNull();
  });

  it.each([1, 2])("is a picture of the asked width, at %i pixels a px", async (scale) => {
    const { id, file } = await begun("png");
    const wishes = { width: 800, height: 450, scale, transparent: false, view: "" };
    expect(await makePicture([file, { timeline: id }, "png", wishes])).toBe(true);
    const { width, height, format } = await sharp(await bytesOf(file)).metadata();
    // As high as it needs, and no higher than was asked.
    expect([width, format]).toEqual([800 * scale, "png"]);
    expect(height).toBeLessThanOrEqual(450 * scale);
    expect(height).toBeGreaterThan(200 * scale);
  });

  it("is a drawing that holds its picture and leads nowhere", async () => {
    const { id, file } = await begun("svg");
    const wishes = { width: 800, height: 450, scale: 1, transparent: true, view: "" };
    expect(await makePicture([file, { timeline: id }, "svg", wishes])).toBe(true);
    const svg = (await bytesOf(file)).toString();
    expect(svg).toContain("Rope ferry");
    expect(svg).toContain("data:image/");
    expect(svg.match(/(?:href|src)="(?!data:|#)[^"]*"/g)).toBeNull();
    expect(await makePicture([file, { timeline: "none" }, "svg", wishes])).toBeNull();
  });

  it("is the picture of a link, of what was published", async () => {
    const { nia, id } = await illustrated();
    const { publication } = must(await publish(id, nia.id, { visibility: "link" }, true));
    const { version } = (await findPublished(publication.address))!;
    const { width, height, format } = await sharp((await linkPicture([version, id]))!).metadata();
    expect([width, height, format]).toEqual([1_200, 630, "jpeg"]);
    expect(await linkPicture(["none", id])).toBeNull();
  });

  it("is the guide, or sheets of text, as a PDF", async () => {
    const pagesOf = async (bytes: Uint8Array) => (await PDFDocument.load(bytes)).getPageCount();
    expect(await pagesOf(await guide([]))).toBeGreaterThan(3);
    const sheets = ["Nia", "Obi"].map((text) => [{ kind: "title" as const, text }]);
    expect(await pagesOf(await textSheets(["Names", sheets]))).toBe(2);
  });
});
