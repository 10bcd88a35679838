/** How late in words: "12 minutes late", "3 hours late", "2 days late"; "" when in time. */
export function lateText(seconds: number): string {
  if (seconds <= 0) return "";
  const [n, unit] =
    seconds < 5_400
      ? [Math.max(1, Math.round(seconds / 60)), "minute"]
      : seconds < 129_600
        ? [Math.round(seconds / 3_600), "hour"]
        : [Math.round(seconds / 86_400), "day"];
  return `${n} ${unit}${n === 1 ? "" : "s"} late`;
}
