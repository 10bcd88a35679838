import { describe, expect, it } from "vitest";
import { typedTimeline } from "@/core/testing/seeded-timeline";
import type { TimelineStore } from "../store/timeline-store";
import { endsOf } from "./cell-deeds";

const timeline = typedTimeline([
  ["1604", "Ferry"],
  ["1719", "Ice"],
  ["1783", "Flood"],
  ["1852", "Mill"],
]);
const [ferry, ice, flood, mill] = [...timeline.events.keys()] as [string, string, string, string];
const store = { getState: () => ({ timeline }) } as unknown as TimelineStore;

describe("the rows that were filled", () => {
  it.each([
    ["as they were pasted", [ice, flood], [ice, flood]],
    ["in another order than their dates'", [mill, ice, flood], [ice, mill]],
    ["all of them", [flood, ferry, mill, ice], [ferry, mill]],
    ["one", [flood], [flood, flood]],
    ["with another between them, of which only the first is chosen", [ferry, flood], [ferry, ferry]],
  ])("are chosen from the first to the last: %s", (_, filled, ends) => {
    expect(endsOf(store, filled)).toEqual(ends);
  });
});
