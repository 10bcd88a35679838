import fc from "fast-check";
import { expect, it } from "vitest";
import { type Cue, readSecond, readSubtitles, secondText, writeSubtitles } from "./webvtt";

it.each<[string, string, Cue[], number]>([
  [
    "WebVTT with a title, notes, settings and tags",
    "WEBVTT - the bell\n\nNOTE by Nia\nmore\n\nSTYLE\n::cue { color: red }\n\n1\n00:01.000 --> 00:02.500 align:start\n<v Ada>The <b>bell</b> rings\nat dusk.\n\n01:00:00.000 --> 01:00:01.000\n&lt;end&gt; &amp; more",
    [
      { from: 1, to: 2.5, text: "The bell rings\nat dusk." },
      { from: 3_600, to: 3_601, text: "<end> & more" },
    ],
    0,
  ],
  [
    "SubRip, with Windows line ends",
    "\uFEFF1\r\n00:00:01,000 --> 00:00:02,000\r\nOne\r\n\r\n2\r\n00:00:03,500 --> 00:00:04,000\r\nTwo\r\n",
    [
      { from: 1, to: 2, text: "One" },
      { from: 3.5, to: 4, text: "Two" },
    ],
    0,
  ],
  [
    "scripts in cues are gone, times that cannot be are counted",
    "WEBVTT\n\n00:01.000 --> 00:02.000\n<script>alert(1)</script>x<img src=y onerror=z>\n\n00:99.000 --> 00:02.000\nno\n\n00:05.000 --> 00:04.000\nbackwards\n\nsoon --> later\nno",
    [{ from: 1, to: 2, text: "alert(1)x" }],
    3,
  ],
  ["no subtitles at all", "1872 Flood", [], 0],
])("%s", (_, text, cues, lost) => expect(readSubtitles(text)).toEqual({ cues, lost }));

it("what is written is read again", () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          from: fc.integer({ min: 0, max: 9_000_000 }),
          long: fc.integer({ min: 1, max: 60_000 }),
          text: fc.stringMatching(/^[A-Za-z<&>][A-Za-z<>&;/ ]{0,20}[a-z]$/),
        }),
        { maxLength: 20 },
      ),
      (list) => {
        const cues = list
          .map((c) => ({ from: c.from / 1_000, to: (c.from + c.long) / 1_000, text: c.text }))
          .toSorted((a, b) => a.from - b.from);
        expect(readSubtitles(writeSubtitles(cues))).toEqual({ cues, lost: 0 });
      },
    ),
  ));

it.each<[string, number | null]>([
  ["12", 12],
  ["1:05", 65],
  ["0:12.5", 12.5],
  ["1:02:03", 3_723],
  ["90 s", 90],
  ["0:12,25", 12.25],
  ["", null],
  ["soon", null],
  ["1:2:3:4", null],
])("“%s” is second %s", (text, at) => {
  expect(readSecond(text)).toBe(at);
  if (at !== null) expect(readSecond(secondText(at))).toBe(at);
});
