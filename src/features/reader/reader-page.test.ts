import { describe, expect, it } from "vitest";
import { toFrozen } from "@/core/formats/frozen";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import type { ReaderPage } from "./page-input";
import { pageSources } from "./page-sources";
import { renderReaderPage } from "./reader-page";

const NASTY = `<img src=x onerror=alert(1)> "quoted" & 'so'`;

const timeline: Timeline = {
  ...emptyTimeline("t"),
  title: NASTY,
  subject: NASTY,
  byline: NASTY,
  introduction: descriptionFrom([NASTY], 1),
  categories: new Map([["c", { ...emptyCategory("c"), name: NASTY, pattern: "waves" }]]),
  events: new Map(
    [
      {
        ...emptyEvent("a"),
        title: NASTY,
        shortTitle: NASTY,
        when: readWhen("1845"),
        category: "c",
        description: descriptionFrom([NASTY], 2),
      },
      { ...emptyEvent("b"), title: "Flood", when: readWhen("1872"), partOf: "a" },
      { ...emptyEvent("x"), title: "No date", when: { ...readWhen(NASTY) } },
    ].map((e) => [e.id, e]),
  ),
  items: new Map(
    [
      {
        ...emptyItem("p"),
        of: "a",
        list: "media" as const,
        kind: "picture" as const,
        media: "m1",
        text: NASTY,
        credit: NASTY,
        licence: NASTY,
        address: "javascript:alert(1)",
        width: 640,
        height: 400,
      },
      { ...emptyItem("s"), of: "a", list: "source" as const, text: NASTY, address: "https://archive.example/" },
    ].map((i) => [i.id, i]),
  ),
};

const page = async (more: Partial<ReaderPage> = {}) => {
  const frozen = more.frozen ?? toFrozen(timeline);
  return renderReaderPage({
    notes: null,
    address: null,
    outside: { rule: "always", sites: [] },
    sources: await pageSources(frozen),
    mediaPath: "/t/abc/media",
    note: null,
    listed: false,
    published: null,
    chartScript: "/reader/chart.js?1",
    viewsScript: "show()",
    variant: "page",
    ...more,
    frozen,
  }).html;
};

describe("the reader's page", () => {
  it("escapes every text people typed, and links only to web and mail addresses", async () => {
    const html = await page({ note: { text: NASTY, link: { to: "/x", text: NASTY } } });
    expect(html).not.toContain("<img src=x");
    expect(html).not.toContain("javascript:");
    expect(html).toContain("&lt;img src=x onerror=alert(1)&gt;");
    expect(html).toContain('href="https://archive.example/"');
  });

  it("holds one script of its own, the chart's data, and one style, and nothing from another server", async () => {
    const html = await page();
    expect([...html.matchAll(/<script[^>]*>/g)].map((m) => m[0])).toEqual([
      "<script>",
      '<script type="application/json" id="chart-data" data-media="/t/abc/media">',
    ]);
    expect(html.match(/<\/script>/g)).toHaveLength(2);
    // What moves the chart is fetched when the chart is first wanted.
    expect(html).toContain('<section id="chart" aria-label="Chart" data-script="/reader/chart.js?1">');
    expect(html.match(/<style/g)).toHaveLength(1);
    const loaded = [...html.matchAll(/(?:src|href)="([^"]+)"/g)].map((m) => m[1]!).filter((u) => !u.startsWith("#"));
    expect(loaded.filter((u) => !/^[/?]|^https:\/\/archive\.example\/$/.test(u))).toEqual([]);
    expect(html).not.toMatch(/ style="| on[a-z]+="/);
  });

  it("wears the look of its timeline, brings the widths of its type along, and on paper is dark on light", async () => {
    const iron = { ...toFrozen(timeline), look: "iron" as const };
    const html = await page({ frozen: iron });
    expect(html).toContain("--paper:#14191C");
    expect(html).toContain("color-scheme:dark");
    expect(html).toMatch(
      /@media print\{:root\{color-scheme:light;--ink:#[0-9A-F]{6};--quiet:#[0-9A-F]{6};--paper:#FFFFFF/,
    );
    const printed = await page({ frozen: iron, variant: "print" });
    expect(printed).not.toContain("--paper:#14191C");
    expect(printed).toContain("--paper:#FFFFFF");
    const oak = await page({ frozen: { ...iron, look: "oak" } });
    expect(oak).toContain("alegreya-latin-wght-normal.woff2");
    expect(oak).toContain('"faces":{"family":"alegreya"');
    expect(html).not.toContain('"faces"');
    expect(await page({ frozen: iron, tried: "oak" })).toContain('"look":"oak"');
  });

  it("says how much later, what an event is part of, and shows the picture with its size", async () => {
    const html = await page();
    expect(html).toContain("27 years later");
    expect(html).toContain('Part of <a href="#e-a">');
    expect(html).toContain('src="/t/abc/media/m1/medium"');
    expect(html).toContain('width="640" height="400"');
  });

  it("puts parts directly after their whole, deeper ones further in, each with its date in full", async () => {
    const night = readWhen("14 Nov 1872 16:00 - 15 Nov 1872 06:00");
    const made = [
      { ...emptyEvent("x"), title: "Mill", when: readWhen("14 Nov 1872 20:00") },
      { ...emptyEvent("n"), title: "Night", when: night },
      { ...emptyEvent("p"), title: "Bell", when: readWhen("14 Nov 1872 19:30"), partOf: "n" },
      { ...emptyEvent("q"), title: "Rope", when: readWhen("14 Nov 1872 19:40"), partOf: "p" },
    ];
    const t = { ...emptyTimeline("t"), events: new Map(made.map((e) => [e.id, e])) };
    const html = await page({ frozen: toFrozen(t) });
    const list = [...html.matchAll(/<li class="([^"]*)" id="e-(\w)"/g)].map((m) => `${m[2]} ${m[1]}`);
    expect(list).toEqual(["n event", "p event part part-1", "q event part part-2", "x event"]);
    expect(html).toContain(">14 Nov 1872 19:30</p>");
    expect(html).toContain("10 minutes later");
  });

  it("begins with what it is: title, by whom, its cover in its proportion, how much there is, and the ways into it", async () => {
    const cover = {
      ...emptyItem("v"),
      list: "media" as const,
      kind: "picture" as const,
      media: "m9",
      width: 300,
      height: 600,
    };
    const frozen = toFrozen({
      ...timeline,
      title: "Ways",
      byline: "Nia",
      items: new Map(timeline.items).set("v", cover),
    });
    const html = await page({ frozen });
    const begin = html.slice(html.indexOf('<section id="begin"'), html.indexOf('<section id="chart"'));
    expect(begin).toContain("<h2>Ways</h2>");
    expect(begin).toContain("by Nia");
    expect(begin).toContain("1 picture, 1 source");
    expect(begin).toContain('width="300" height="600" class="s300x600"');
    expect(html).toContain(".s300x600{--r:0.5000;--w:300px}");
    expect(begin).toContain('<a class="go" href="#chart">Open the chart</a>');
    expect(begin).toContain("press an event to open it");
    expect(await page({ frozen, variant: "embed" })).not.toContain('<section id="begin"');
  });

  it("says how long after the event before and how long before the next one each was, among those of one whole", async () => {
    const made = [
      { ...emptyEvent("a"), title: "Post", when: readWhen("1797") },
      { ...emptyEvent("n"), title: "Night", when: readWhen("1872 - 1873") },
      { ...emptyEvent("p"), title: "Bell", when: readWhen("Nov 1872"), partOf: "n" },
      { ...emptyEvent("v"), title: "Viaduct", when: readWhen("1889") },
    ];
    const html = await page({
      frozen: toFrozen({ ...emptyTimeline("t"), events: new Map(made.map((e) => [e.id, e])) }),
    });
    const between = [...html.matchAll(/<p class="between">(.*?)<\/p>/g)].map((m) => m[1]!.replaceAll(/<[^>]+>/g, ""));
    expect(between).toEqual([
      "75 years before Night",
      "75 years after Post, 16 years before Viaduct",
      "16 years after Night",
    ]);
  });

  it("shows the main picture before the words and the others after them, each with its caption", async () => {
    const more = {
      ...emptyItem("p2"),
      of: "a",
      list: "media" as const,
      kind: "picture" as const,
      media: "m5",
      place: "a1",
      caption: "The east bank",
    };
    const html = await page({ frozen: toFrozen({ ...timeline, items: new Map(timeline.items).set("p2", more) }) });
    const story = html.slice(html.indexOf('id="e-a"'), html.indexOf('id="e-b"'));
    expect(story.indexOf("m1/medium")).toBeLessThan(story.indexOf('<div class="text">'));
    expect(story.indexOf("m5/medium")).toBeGreaterThan(story.indexOf('<div class="text">'));
    expect(story).toContain("<figcaption><b>The east bank</b></figcaption>");
  });

  it("is listed by search engines only where it was published for everybody", async () => {
    expect(await page()).toContain('content="noindex"');
    expect(await page({ listed: true })).not.toContain("noindex");
  });

  it("on paper has one drawing for it, no script, and says where a video or a sound is", async () => {
    const film = {
      ...emptyItem("f"),
      of: "b",
      list: "media" as const,
      kind: "video" as const,
      media: "m2",
      text: "Ice",
    };
    const frozen = toFrozen({ ...timeline, items: new Map(timeline.items).set("f", film) });
    const html = await page({ variant: "print", frozen });
    expect(html).not.toContain("<script");
    expect(html).not.toContain("<video");
    expect(html).toContain("A video, in the page itself: <b>Ice</b>");
    expect(html.match(/<svg[^>]*aria-label="Chart of/g)).toHaveLength(1);
    expect(html).not.toContain('loading="lazy"');
    expect(html).toContain("@page{size:A4 landscape");
  });

  it("in a frame leads out of it to the whole page, and is listed nowhere", async () => {
    const html = await page({ variant: "embed", listed: true });
    expect(html).toContain('<a href="?" target="_blank" rel="noopener">');
    expect(html).not.toContain('href="/"');
    expect(html).toContain("noindex");
    expect(await page()).toContain('<a href="?as=print">');
  });

  it("of an empty timeline is a page all the same", async () => {
    const html = await page({ frozen: toFrozen(emptyTimeline("t")), mediaPath: "" });
    expect(html).toContain("Nothing has been written in this timeline yet.");
    expect(html).toContain("Untitled");
  });

  it("draws the chart for every width, with patterns that do not share names", async () => {
    const html = await page();
    const ids = [...html.matchAll(/<pattern id="([^"]+)"/g)].map((m) => m[1]!);
    expect(new Set(ids).size).toBe(ids.length);
    for (const width of [1240, 1000, 700, 380]) expect(html).toContain(`class="w${width}"`);
  });
});

it.each<[string[], string]>([
  [["310 BC - AD 96"], "310 BC – AD 96"],
  [["1604", "1744 - 1783", "1750"], "1604 – 1783"],
  [["1604", "1838 - present", "1900"], "1604 – present"],
  [["14 Nov 1872"], "1872"],
])("a timeline of %j goes from %s", async (dates, period) => {
  const t: Timeline = {
    ...emptyTimeline("t"),
    title: "T",
    events: new Map(dates.map((d, i) => [`${i}`, { ...emptyEvent(`${i}`), title: "x", when: readWhen(d) }])),
  };
  const html = await page({ frozen: toFrozen(t) });
  expect(html.match(/<h1><a href="#begin">T<\/a><\/h1><p>([^<]*)<\/p>/)![1]).toBe(
    `${dates.length} ${dates.length === 1 ? "event" : "events"}, ${period}`,
  );
});
