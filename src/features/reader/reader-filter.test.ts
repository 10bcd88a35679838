import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

/** As much of a page as a filter touches. */
class Page extends EventTarget {
  body = { dataset: {} as Record<string, string> };
  texts: Record<string, string> = {};
  getElementById = (id: string) => (id in this.texts ? { textContent: this.texts[id] } : null);
}
let page: Page;
let place: URL;
let filter: typeof import("./reader-filter");

beforeEach(async () => {
  vi.useFakeTimers();
  page = new Page();
  place = new URL("https://fastigo.example/t/ambrel");
  vi.stubGlobal("document", page);
  vi.stubGlobal("location", {
    get href() {
      return place.href;
    },
    get search() {
      return place.search;
    },
  });
  vi.stubGlobal("history", {
    state: null,
    replaceState: (_: unknown, __: string, to: URL) => {
      place = new URL(to.href);
    },
  });
  // Texts are remembered for a page: each test has one of its own.
  vi.resetModules();
  filter = await import("./reader-filter");
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const NOTHING = { words: "", tag: "", hide: [] };
const event = (id: string, category: string | null = null, ...tags: string[]) => ({ id, category, tags });

describe("what of a timeline is shown", () => {
  it("stands in the address, which leads others to it, in one order whatever was set first", () => {
    expect(filter.readFilter()).toEqual(NOTHING);
    filter.setFilter({ hide: ["trade", "law"] });
    filter.setFilter({ words: "long night" });
    filter.setFilter({ tag: "river" });
    // Whoever types on is not held up by it.
    expect(place.search).toBe("");
    vi.advanceTimersByTime(400);
    expect(place.search).toBe("?words=long+night&tag=river&hide=trade%2Claw");
    page.body.dataset = {};
    expect(filter.readFilter()).toEqual({ words: "long night", tag: "river", hide: ["trade", "law"] });
    filter.setFilter(NOTHING);
    vi.advanceTimersByTime(400);
    expect(place.href).toBe("https://fastigo.example/t/ambrel");
  });

  it("leaves what else stands in the address, and tells whoever shows events", () => {
    place = new URL("https://fastigo.example/t/ambrel?look=oak&words=ferry#chart");
    let heard = 0;
    filter.onFilter(() => heard++);
    expect(filter.readFilter().words).toBe("ferry");
    filter.setFilter({ tag: "ice" });
    expect([heard, filter.readFilter()]).toEqual([1, { words: "ferry", tag: "ice", hide: [] }]);
    vi.advanceTimersByTime(400);
    expect(place.href).toBe("https://fastigo.example/t/ambrel?look=oak&words=ferry&tag=ice#chart");
  });

  it("is everything where nothing was asked", () => {
    for (const words of ["", "  ", "\t"]) expect(filter.matcher({ ...NOTHING, words })).toBeNull();
  });

  it("is what holds every word, whatever its capitals and accents, of all that the page says of it", () => {
    page.texts = { "e-a": "1872 Überschwemmung der Ambrel", "e-b": "1604 Rope ferry, licensed" };
    const shown = (words: string) => ["a", "b", "c"].filter((id) => filter.matcher({ ...NOTHING, words })!(event(id)));
    expect(shown("UBERSCHWEMMUNG")).toEqual(["a"]);
    expect(shown("überschw")).toEqual(["a"]);
    expect(shown("ferry 16")).toEqual(["b"]);
    expect(shown("ferry 1872")).toEqual([]);
    expect(shown("e")).toEqual(["a", "b"]);
  });

  it("is what has a tag, whole and whatever its capitals, and is of no category that is left out", () => {
    const list = [event("a", "trade", "River"), event("b", null, "riverside"), event("c", "law", "ice", "river")];
    const shown = (f: object) => list.filter(filter.matcher({ ...NOTHING, ...f })!).map((e) => e.id);
    expect(shown({ tag: "river" })).toEqual(["a", "c"]);
    expect(shown({ hide: ["trade"] })).toEqual(["b", "c"]);
    expect(shown({ hide: ["trade", "law"], tag: "riverside" })).toEqual(["b"]);
    expect(shown({ hide: ["gone"] })).toEqual(["a", "b", "c"]);
  });
});
