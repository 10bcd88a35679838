import { afterEach, describe, expect, it, vi } from "vitest";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { toSvg } from "@/core/chart/draw/to-svg";
import { speakIn } from "@/core/language/spoken";
import { pointTimeline, startingPoint } from "@/core/starting-points/starting-points";
import { knowLanguages } from "@/core/testing/languages";
import { WORDS } from "@/core/words/starting-points";
import { pointSvg } from "./point-svg";

/** As it would be drawn by somebody who kept nothing. */
function anew(id: string, width: number, height: number, upright: boolean): string {
  const point = startingPoint(id)!;
  const scene = drawChart(pointTimeline(point), { width, height }, { upright, closeUps: "none" });
  return toSvg(scene, { pictureUrl: () => null, prefix: `${id}${width}`, label: WORDS.chartOf(point.title) });
}

describe("the chart of a starting point, kept for the day", () => {
  afterEach(() => void vi.useRealTimers());

  it("is in each language, size and direction as it would be drawn anew, whatever was asked for before", () => {
    for (const _again of [1, 2])
      for (const language of knowLanguages())
        for (const [width, height, upright] of [
          [340, 150, false],
          [350, 640, true],
          [350, 640, false],
        ] as const)
          speakIn(language, () =>
            expect(pointSvg(startingPoint("garden")!, width, height, upright)).toBe(
              anew("garden", width, height, upright),
            ),
          );
    const [english, german] = (["en", "de"] as const).map((l) =>
      speakIn(l, () => pointSvg(startingPoint("garden")!, 340, 150, false)),
    );
    expect(german).not.toBe(english);
    // Its dates are written in the language its titles are.
    const written = (svg: string | undefined) =>
      [...svg!.matchAll(/autumn \d+|Herbst \d+|\b6\.? Jan\b/g)].map((m) => m[0]);
    expect(new Set(written(english))).toEqual(new Set(["6 Jan", "autumn 2027"]));
    expect(new Set(written(german))).toEqual(new Set(["6. Jan", "Herbst 2027"]));
  });

  it("is drawn again on another day", () => {
    vi.useFakeTimers({ toFake: ["Date"] });
    for (const day of ["2026-03-01", "2026-03-02"]) {
      vi.setSystemTime(new Date(`${day}T12:00:00Z`));
      expect(pointSvg(startingPoint("garden")!, 340, 150, false)).toBe(anew("garden", 340, 150, false));
    }
  });
});
