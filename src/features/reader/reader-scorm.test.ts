import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

/** A learning platform that keeps what it is told, as SCORM 1.2 has it. */
class Platform {
  readonly calls: string[] = [];
  readonly kept: Record<string, string>;
  private readonly begins: string;
  constructor(kept: Record<string, string> = {}, begins = "true") {
    this.kept = kept;
    this.begins = begins;
  }
  LMSInitialize() {
    this.calls.push("begin");
    return this.begins;
  }
  LMSGetValue(name: string) {
    return this.kept[name] ?? "";
  }
  LMSSetValue(name: string, value: string) {
    this.kept[name] = value;
    return "true";
  }
  LMSCommit() {
    this.calls.push("commit");
    return "true";
  }
  LMSFinish() {
    this.calls.push("end");
    return "true";
  }
}

let heard: Map<string, (e: unknown) => void>;
let seeEnd: (isSeen: boolean) => void;
let body: Record<string, string>;
let place: { hash: string };
let opened = 0;

/** Opens a page of two events within a platform that is `up` windows above it. */
async function open(api: Platform | null, { up = 1, hash = "", stranger = false } = {}) {
  heard = new Map();
  body = {};
  place = { hash };
  const listen = (name: string, then: (e: unknown) => void) => heard.set(name, then);
  type Fake = Record<string, unknown>;
  const top: Fake = api ? { API: api } : {};
  top.parent = top;
  let page: Fake = top;
  for (let n = 0; n < up; n++) page = { parent: page };
  if (stranger)
    page.parent = new Proxy(
      {},
      {
        get: () => {
          throw new Error("another site's");
        },
      },
    );
  page.addEventListener = listen;
  vi.stubGlobal("window", page);
  vi.stubGlobal("location", place);
  vi.stubGlobal("document", {
    body: { dataset: body },
    querySelector: (what: string) => (what === ".foot" ? {} : null),
    querySelectorAll: () => [{ id: "e-1" }, { id: "e-2" }],
    addEventListener: listen,
  });
  vi.stubGlobal(
    "IntersectionObserver",
    class {
      constructor(then: (seen: { isIntersecting: boolean }[]) => void) {
        seeEnd = (isSeen) => then([{ isIntersecting: !isSeen }, { isIntersecting: isSeen }]);
      }
      observe() {}
    },
  );
  // It is run where it is loaded: each time anew.
  await import(/* @vite-ignore */ `./reader-scorm?${opened++}`);
}
const say = (name: string, e: unknown = {}) => heard.get(name)!(e);
const STATUS = "cmi.core.lesson_status";

beforeEach(() => vi.useFakeTimers({ now: 0 }));
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("what a learning platform is told", () => {
  it("is nothing where there is none, it does not begin, or it is another site's", async () => {
    await open(null);
    expect(heard.size).toBe(0);
    const silent = new Platform({}, "false");
    await open(silent);
    expect([heard.size, silent.kept, silent.calls]).toEqual([0, {}, ["begin"]]);
    const other = new Platform();
    await open(other, { stranger: true });
    expect([heard.size, other.calls]).toEqual([0, []]);
  });

  it("is found some windows up, and not for ever", async () => {
    const near = new Platform();
    await open(near, { up: 9 });
    expect(near.kept[STATUS]).toBe("incomplete");
    const far = new Platform();
    await open(far, { up: 10 });
    expect(far.kept).toEqual({});
  });

  it("is that it was read, once its end was seen by a reader and not before", async () => {
    const api = new Platform();
    await open(api);
    seeEnd(true);
    expect(api.kept[STATUS]).toBe("incomplete");
    body.view = "read";
    seeEnd(false);
    expect(api.kept[STATUS]).toBe("incomplete");
    seeEnd(true);
    expect(api.kept[STATUS]).toBe("completed");
  });

  it("is the same once every event was opened", async () => {
    const api = new Platform();
    await open(api);
    for (const [event, status] of [
      ["1", "incomplete"],
      ["1", "incomplete"],
      ["2", "completed"],
    ]) {
      body.open = event!;
      say("opened");
      expect([event, api.kept[STATUS]]).toEqual([event, status]);
    }
  });

  it("takes nothing back of somebody who has passed", async () => {
    const api = new Platform({ [STATUS]: "passed" });
    await open(api);
    body.view = "read";
    seeEnd(true);
    expect(api.kept[STATUS]).toBe("passed");
  });

  it("is the best of several practices, from 0 to 100", async () => {
    const api = new Platform();
    await open(api);
    for (const [share, score] of [
      [0.756, "76"],
      [0.2, "76"],
      [1.4, "100"],
      [-1, "100"],
    ] as const) {
      say("practised", { detail: share });
      expect([share, api.kept["cmi.core.score.raw"]]).toEqual([share, score]);
    }
    expect(api.kept).toMatchObject({ "cmi.core.score.min": "0", "cmi.core.score.max": "100", [STATUS]: "completed" });
  });

  it("is where one was, and one comes back there; an address of one's own goes first", async () => {
    const api = new Platform();
    await open(api);
    place.hash = `#e-2${"x".repeat(400)}`;
    say("hashchange");
    expect(api.kept["cmi.core.lesson_location"]).toHaveLength(255);
    const again = new Platform({ "cmi.core.lesson_location": "#e-2" });
    await open(again);
    expect(place.hash).toBe("#e-2");
    await open(again, { hash: "#e-1" });
    expect(place.hash).toBe("#e-1");
  });

  it("ends once, with how long one was there as hours, minutes and seconds", async () => {
    const api = new Platform();
    await open(api);
    vi.setSystemTime((3_600 * 2 + 60 * 3 + 4) * 1_000 + 900);
    say("pagehide");
    say("pagehide");
    expect(api.kept["cmi.core.session_time"]).toBe("0002:03:04");
    expect(api.calls.filter((c) => c === "end")).toHaveLength(1);
    expect(api.calls.at(-1)).toBe("end");
  });
});
