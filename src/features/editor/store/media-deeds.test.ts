import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { type Item, itemsOf } from "@/core/timeline/timeline";
import type { UploadedMedia } from "@/ui/upload";
import { attachMedia, attachOutside, moveItemTo, showCut, showStill } from "./media-deeds";
import { Disk, World } from "./testing/world";
import type { TimelineStore } from "./timeline-store";

const opened = (...ops: Op[]): TimelineStore => {
  const { store } = new World().open("nia", new Disk());
  store.edit([{ kind: "add_event", id: "e", fields: { title: "Flood" } }, ...ops]);
  return store;
};
const media = (id: string, more: Partial<UploadedMedia> = {}): UploadedMedia => ({
  id,
  kind: "picture",
  name: `${id}.png`,
  width: 640,
  height: 400,
  moving: false,
  ...more,
});
const listed = (store: TimelineStore, of = "e", list: Item["list"] = "media") =>
  itemsOf(store.getState().timeline, of, list);

describe("a file that has arrived", () => {
  it("stands at the end of the media of its event, with what was found out about it, in one step", () => {
    const store = opened();
    expect(attachMedia(store, "e", media("a"), {})).toBeNull();
    expect(
      attachMedia(store, "e", media("b", { kind: "video", length: 12.5, moving: true }), {
        credit: "Nia",
        licence: "CC0",
      }),
    ).toBeNull();
    expect(listed(store).map((i) => [i.media, i.kind, i.width, i.length, i.credit, i.licence])).toEqual([
      ["a", "picture", 640, null, "", ""],
      ["b", "video", 640, 12.5, "Nia", "CC0"],
    ]);
    store.undo();
    expect(listed(store).map((i) => i.media)).toEqual(["a"]);
  });

  it("stands with the whole, or behind the chart: there with what is told from it", () => {
    const store = opened();
    const tones = { dark: "#000000", light: "#ffffff" };
    attachMedia(store, "timeline", media("cover", { tones }), {});
    attachMedia(store, "timeline", media("back", { tones }), { list: "back" });
    expect(listed(store, "timeline").map((i) => [i.media, i.tones])).toEqual([["cover", null]]);
    expect(listed(store, "timeline", "back").map((i) => [i.media, i.tones])).toEqual([["back", tones]]);
  });

  it("is not attached to what is gone meanwhile, and says so", () => {
    const store = opened();
    store.edit([{ kind: "delete_event", id: "e" }]);
    for (const of of ["e", "never"]) {
      expect(attachMedia(store, of, media("a"), {})).toMatch(/event/i);
      expect(attachOutside(store, of, {}, { address: "https://films.example/a", foundOn: "2026-11-28" })).toMatch(
        /event/i,
      );
    }
    expect([...store.getState().timeline.items]).toEqual([]);
  });

  it("is another still of a video, where it was made for that", () => {
    const store = opened();
    attachMedia(store, "e", media("v", { kind: "video" }), {});
    const [video] = listed(store);
    attachMedia(store, "e", media("still", { width: 320, height: 200 }), { stillOf: video!.id });
    expect(listed(store).map((i) => [i.kind, i.media, i.width, i.height])).toEqual([["video", "still", 320, 200]]);
    showStill(store, listed(store)[0]!, media("later", { width: 64, height: 40 }));
    expect(listed(store).map((i) => [i.media, i.width])).toEqual([["later", 64]]);
    store.edit([{ kind: "delete_item", id: video!.id }]);
    expect(attachMedia(store, "e", media("late"), { stillOf: video!.id })).toMatch(/event/i);
  });
});

describe("what stays at another site", () => {
  it("stands among the media, with its address and the day it was found", () => {
    const store = opened();
    attachMedia(store, "e", media("a"), {});
    const known = { address: "https://films.example/flood", foundOn: "2026-11-28" };
    expect(
      attachOutside(store, "e", { kind: "video", player: "https://films.example/play/1", text: "Flood" }, known),
    ).toBeNull();
    expect(listed(store).map((i) => [i.kind, i.media, i.player, i.address, i.foundOn])).toEqual([
      ["picture", "a", "", "", ""],
      ["video", null, "https://films.example/play/1", known.address, known.foundOn],
    ]);
  });
});

describe("a part of a picture", () => {
  it("takes its place in one step, and what was to be seen of the whole is forgotten; undone it is the whole again", () => {
    const store = opened();
    attachMedia(store, "e", media("whole"), {});
    const item = () => listed(store)[0]!;
    store.edit([{ kind: "set_item", id: item().id, field: "focus", value: { x: 10, y: 20 } }]);
    const cut = { of: "whole", x: 0, y: 0, width: 50, height: 50, turn: 90 as const };
    expect(showCut(store, item(), media("part", { width: 200, height: 320 }), cut)).toBeNull();
    expect(item()).toMatchObject({ media: "part", width: 200, height: 320, cut, focus: null });
    store.undo();
    expect(item()).toMatchObject({ media: "whole", width: 640, cut: null, focus: { x: 10, y: 20 } });
    store.redo();
    expect(showCut(store, item(), media("whole"), null)).toBeNull();
    expect(item()).toMatchObject({ media: "whole", cut: null });
  });
});

describe("an entry that is dragged over another", () => {
  it("takes its place; onto itself, over what is gone, or as one that is gone nothing happens", () => {
    const store = opened();
    for (const id of ["a", "b", "c", "d"]) attachMedia(store, "e", media(id), {});
    const id = (m: string) => listed(store).find((i) => i.media === m)!.id;
    const order = () =>
      listed(store)
        .map((i) => i.media)
        .join("");
    moveItemTo(store, id("a"), id("c"));
    expect(order()).toBe("bcad");
    moveItemTo(store, id("d"), id("b"));
    expect(order()).toBe("dbca");
    for (const [one, other] of [
      [id("a"), id("a")],
      [id("a"), "gone"],
      ["gone", id("a")],
    ] as const) {
      moveItemTo(store, one, other);
      expect(order()).toBe("dbca");
    }
    store.undo();
    store.undo();
    expect(order()).toBe("abcd");
  });
});
