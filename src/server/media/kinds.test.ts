import { describe, expect, it } from "vitest";
import sharp from "sharp";
import { webm } from "../testing/media";
import { endingOf, kindOf } from "./kinds";

const text = (t: string) => new TextEncoder().encode(t);
const bytes = (...parts: (string | number[])[]) =>
  Uint8Array.from(parts.flatMap((p) => (typeof p === "string" ? [...p].map((c) => c.charCodeAt(0)) : p)));
const pixel = sharp({ create: { width: 2, height: 2, channels: 3, background: "#335577" } });
/** A file of ISO/IEC 14496-12 of a brand, with these words somewhere in its head. */
const iso = (brand: string, ...words: string[]) =>
  bytes([0, 0, 0, 24], `ftyp${brand}`, [0, 0, 0, 0], `${brand}mp42`, ...words, Array(64).fill(0));

describe("what a file is", () => {
  it.each(["jpeg", "png", "webp", "gif", "avif", "tiff"] as const)("a picture: %s", async (format) => {
    const made = await pixel.clone().toFormat(format).toBuffer();
    expect(await kindOf(made)).toEqual({ kind: "picture", type: `image/${format}` });
  });

  it.each<[string, string]>([
    ["<svg xmlns='http://www.w3.org/2000/svg'/>", "plain"],
    [
      '\uFEFF<?xml version="1.0"?>\n<!-- drawn --> <!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "x">\n<svg>',
      "with all that may stand before",
    ],
    ["<!DOCTYPE svg [ <!ENTITY a 'b'> ]><SVG >", "with entities of its own"],
  ])("a drawing: %s (%s)", async (drawn) => {
    expect(await kindOf(text(drawn))).toEqual({ kind: "picture", type: "image/svg+xml" });
  });

  it.each([
    "<html><svg>",
    "<svgx>",
    "see <svg>",
    "",
    "When,Title\n1604,Ferry",
    "%PDF-1.7\n",
    "#!/bin/sh\n",
    "<!-- no end <svg>",
  ])("nothing that can be shown: %s", async (other) => {
    expect(await kindOf(text(other))).toBeNull();
  });

  it("a film, or what was recorded of a voice in the same container", async () => {
    expect(await kindOf(webm(2_000))).toEqual({ kind: "video", type: "video/webm" });
    const of = (...tracks: string[]) => bytes([...webm(200)], ...tracks);
    expect(await kindOf(of("A_OPUS"))).toEqual({ kind: "sound", type: "audio/webm" });
    expect(await kindOf(of("V_VP9", "A_OPUS"))).toEqual({ kind: "video", type: "video/webm" });
    expect(await kindOf(iso("isom", "soun"))).toEqual({ kind: "sound", type: "audio/mp4" });
    expect(await kindOf(iso("isom", "vide", "soun"))).toEqual({ kind: "video", type: "video/mp4" });
    expect(await kindOf(iso("isom"))).toEqual({ kind: "video", type: "video/mp4" });
  });

  it.each<[string, Uint8Array, string]>([
    ["wave", bytes("RIFF", [36, 0, 0, 0], "WAVEfmt ", Array(40).fill(0)), "audio/wav"],
    ["flac", bytes("fLaC", Array(60).fill(0)), "audio/flac"],
    ["mp3", bytes("ID3", [4, 0, 0, 0, 0, 0, 0], [0xff, 0xfb, 0x90, 0x00], Array(500).fill(0)), "audio/mpeg"],
  ])("a sound: %s", async (_, sound, type) => {
    expect(await kindOf(sound)).toEqual({ kind: "sound", type });
  });

  it.each(["heic", "heix", "mif1"])("a picture as phones keep it, which is said: %s", async (brand) => {
    expect(await kindOf(iso(brand))).toBe("unread");
  });

  it("does not go by what a file is called, and every kind that is kept has an ending", async () => {
    expect(await kindOf(bytes("MZ", Array(200).fill(0)))).toBeNull();
    for (const type of [
      "image/jpeg",
      "image/svg+xml",
      "video/mp4",
      "video/webm",
      "audio/webm",
      "audio/mpeg",
      "audio/wav",
    ])
      expect([type, endingOf(type)]).toEqual([type, expect.stringMatching(/^\.[a-z0-9]{3,4}$/)]);
    expect(endingOf("text/html")).toBe("");
  });
});
