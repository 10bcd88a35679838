import { describe, expect, it } from "vitest";
import { chartData, shownEvents } from "../chart/data/chart-data";
import { typedTimeline } from "../testing/seeded-timeline";
import { freeLooks } from "./free-looks";
import { COLOURS, type Colour } from "./looks";
import { emptyCategory, type Timeline } from "./timeline";

const category = (id: string, colour: Colour, place: string) => ({ ...emptyCategory(id), name: id, colour, place });

/** Spans A, B, ... with a part each; `inside` says what is part of what besides, `of` the categories of spans. */
function withSpans(count: number, colours: Colour[] = [], of: Record<string, string> = {}): Timeline {
  const names = Array.from({ length: count }, (_, i) => String.fromCharCode(65 + i));
  const t = typedTimeline(
    names.flatMap((n, i): [string, string][] => [
      [`${1700 + 10 * i} - ${1705 + 10 * i}`, n],
      [String(1702 + 10 * i), `part of ${n}`],
    ]),
  );
  const byTitle = new Map([...t.events.values()].map((e) => [e.title, e]));
  const events = [...t.events.values()].map((e) => ({
    ...e,
    partOf: byTitle.get(e.title.replace(/^part of /, ""))!.id === e.id ? null : byTitle.get(e.title.slice(8))!.id,
    category: of[e.title] ?? null,
  }));
  return {
    ...t,
    events: new Map(events.map((e) => [e.id, e])),
    categories: new Map(colours.map((c, i) => [c, category(c, c, `a${i}`)])),
  };
}

describe("spans with parts and without a category", () => {
  it("take the colours and patterns that no category has, in their order, and their parts look like them", () => {
    const t = withSpans(3, ["verdigris", "plum"]);
    const looks = freeLooks(t);
    expect(looks.map((l) => [t.events.get(l.id)!.title, l.colour])).toEqual([
      ["A", "copper"],
      ["B", "river"],
      ["C", "moss"],
    ]);
    const data = chartData(t, shownEvents(t));
    for (let i = 0; i < data.count; i++) {
      const whole = data.titles[i]!.replace(/^part of /, "");
      const own = looks.find((l) => t.events.get(l.id)!.title === whole)!;
      expect(data.looks[data.look[i]!]).toEqual({ colour: COLOURS[own.colour], pattern: own.pattern });
    }
    expect(data.lanes).toBe(3);
  });

  it("never take the colour of what has no category, and no two the same colour and pattern", () => {
    const looks = freeLooks(withSpans(12));
    expect(looks).toHaveLength(8);
    expect(looks.some((l) => l.colour === "steel" && l.pattern === "solid")).toBe(false);
    expect(new Set(looks.map((l) => `${l.colour} ${l.pattern}`)).size).toBe(8);
  });

  it("are none where they have a category, are part of something, or have no parts", () => {
    expect(freeLooks(withSpans(2, ["plum"], { A: "plum", B: "plum" }))).toEqual([]);
    expect(freeLooks(typedTimeline([["1700 - 1800", "A"]]))).toEqual([]);
    const t = withSpans(2);
    const [a, , b] = [...t.events.values()];
    const nested = { ...t, events: new Map(t.events).set(b!.id, { ...b!, partOf: a!.id }) };
    expect(freeLooks(nested).map((l) => l.id)).toEqual([a!.id]);
    // A category that was deleted is none.
    const gone = withSpans(1, ["plum"], { A: "plum" });
    const plum = { ...gone.categories.get("plum")!, deleted: true };
    expect(freeLooks({ ...gone, categories: new Map([["plum", plum]]) })).toHaveLength(1);
  });
});
