import { readFileSync } from "node:fs";
import { join } from "node:path";
import { create, type Font } from "fontkit";
import { describe, expect, it } from "vitest";
import { FAMILIES, shippedType } from "@/core/text/families";
import { unpackWoff } from "./woff";

const packages = join(process.cwd(), "node_modules", "@fontsource");
/** A family's file of the letters of Western Europe, upright and of the usual weight. */
const woffOf = (file: string) => readFileSync(join(packages, file, "files", `${file}-latin-400-normal.woff`));
const ferry = woffOf(shippedType("hyperlegible").file);

describe("unpacking WOFF", () => {
  it.each(Object.keys(FAMILIES) as (keyof typeof FAMILIES)[])("gives the same letters of %s", (family) => {
    const woff = woffOf(shippedType(family).file);
    const [packed, unpacked] = [create(woff) as Font, create(unpackWoff(woff)) as Font];
    expect(unpacked.postscriptName).toBe(packed.postscriptName);
    expect(unpacked.characterSet).toEqual(packed.characterSet);
    for (const letter of "AgÅß&?0ﬁ\u00A0") {
      const [was, is] = [packed, unpacked].map((font) => font.glyphForCodePoint(letter.codePointAt(0)!));
      expect([letter, is!.advanceWidth, is!.path.toSVG()]).toEqual([letter, was!.advanceWidth, was!.path.toSVG()]);
    }
  });

  it("writes each table once, on a whole word, with the sum the file says it has", () => {
    const sfnt = unpackWoff(ferry);
    const count = sfnt.readUInt16BE(4);
    const tables = Array.from({ length: count }, (_, i) => {
      const at = 12 + 16 * i;
      return {
        tag: sfnt.toString("latin1", at, at + 4),
        sum: sfnt.readUInt32BE(at + 4),
        offset: sfnt.readUInt32BE(at + 8),
        length: sfnt.readUInt32BE(at + 12),
      };
    });
    let end = 12 + 16 * count;
    for (const t of tables) {
      expect([t.tag, t.offset]).toEqual([t.tag, end]);
      end = t.offset + Math.ceil(t.length / 4) * 4;
      // OpenType, "Calculating checksums": the sum of all words; that of `head` leaves its own sum of the whole file out.
      let sum = 0;
      for (let at = t.offset; at < end; at += 4)
        if (t.tag !== "head" || at !== t.offset + 8) sum = (sum + sfnt.readUInt32BE(at)) >>> 0;
      expect([t.tag, sum]).toEqual([t.tag, t.sum]);
    }
    expect(sfnt.length).toBe(end);
    expect(new Set(tables.map((t) => t.tag)).size).toBe(count);
  });

  it("refuses what is no WOFF, is cut off, or says another length than it has", () => {
    expect(() => unpackWoff(unpackWoff(ferry))).toThrow("not a WOFF file");
    for (const length of [0, 3, 43, 60, Math.floor(ferry.length / 2), ferry.length - 400])
      expect(() => unpackWoff(ferry.subarray(0, length)), String(length)).toThrow();
    const longer = Buffer.from(ferry);
    longer.writeUInt32BE(ferry.readUInt32BE(44 + 12) + 4, 44 + 12);
    expect(() => unpackWoff(longer)).toThrow("not as long as it says");
    const shorter = Buffer.from(ferry);
    const first = ferry.readUInt32BE(44 + 8) < ferry.readUInt32BE(44 + 12) ? 44 : 64;
    shorter.writeUInt32BE(ferry.readUInt32BE(first + 12) - 1, first + 12);
    expect(() => unpackWoff(shorter)).toThrow();
  });
});
