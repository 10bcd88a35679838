import { expect, it } from "vitest";
import { zonedText } from "./zoned";

it.each<[string, string, string, string]>([
  ["2026-12-11T16:00:00Z", "UTC", "Fri 11 Dec 2026, 16:00 UTC", "11 Dec, 16:00 UTC"],
  ["2026-12-11T16:00:00Z", "Europe/London", "Fri 11 Dec 2026, 16:00 GMT", "11 Dec, 16:00 GMT"],
  ["2031-07-11T20:00:00Z", "America/New_York", "Fri 11 Jul 2031, 16:00 GMT-4", "11 Jul, 16:00 GMT-4"],
  ["2026-12-31T23:30:00Z", "Asia/Tokyo", "Fri 1 Jan 2027, 08:30 GMT+9", "1 Jan, 08:30 GMT+9"],
  ["2026-03-29T00:30:00Z", "Europe/Berlin", "Sun 29 Mar 2026, 01:30 CET", "29 Mar, 01:30 CET"],
  ["2026-03-29T01:30:00Z", "Europe/Berlin", "Sun 29 Mar 2026, 03:30 CEST", "29 Mar, 03:30 CEST"],
  ["2026-12-11T16:00:00Z", "Mars/Olympus", "Fri 11 Dec 2026, 16:00 UTC", "11 Dec, 16:00 UTC"],
])("%s in %s is %s, in short %s", (at, zone, long, short) => {
  expect([zonedText(new Date(at), zone), zonedText(new Date(at), zone, true)]).toEqual([long, short]);
});
