import { expect, it } from "vitest";
import { type Standing, standingOf } from "./standing";

const NOW = new Date("2026-11-20T12:00:00Z");
const at = (days: number) => new Date(NOW.getTime() + days * 86_400_000);
const half = [{ have: 6, need: 12 }];
const less = [{ have: 5, need: 12 }];

it.each<[string, number, number | null, { have: number; need: number; wished?: boolean }[] | null, Standing]>([
  ["written today, due in a week", 7, -0.1, less, { code: "fine" }],
  ["nothing for three days", 7, -3, half, { code: "idle", days: 3, begun: true }],
  ["nothing for a moment less", 7, -2.99, half, { code: "fine" }],
  ["never begun, set ten days ago", 7, null, null, { code: "idle", days: 10, begun: false }],
  ["under half, two days before", 2, -0.1, less, { code: "behind", kinds: [0] }],
  ["half, two days before", 2, -0.1, half, { code: "fine" }],
  ["under half, but only wished", 2, -0.1, [{ have: 0, need: 3, wished: true }], { code: "fine" }],
  ["under half, three days before", 3, -0.1, less, { code: "fine" }],
  ["not known how much, two days before", 1, -0.1, null, { code: "fine" }],
  ["behind before idle", 1, -5, less, { code: "behind", kinds: [0] }],
  ["past due before all", -0.5, -9, less, { code: "late", by: 43_200 }],
])("%s", (_, due, altered, checks, wanted) =>
  expect(
    standingOf({ dueAt: at(due), setAt: at(-10), alteredAt: altered === null ? null : at(altered), checks }, NOW),
  ).toEqual(wanted),
);
