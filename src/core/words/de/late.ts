export function lateText(seconds: number): string {
  if (seconds <= 0) return "";
  const [n, one, many] =
    seconds < 5_400
      ? [Math.max(1, Math.round(seconds / 60)), "Minute", "Minuten"]
      : seconds < 129_600
        ? [Math.round(seconds / 3_600), "Stunde", "Stunden"]
        : [Math.round(seconds / 86_400), "Tag", "Tage"];
  return `${n} ${n === 1 ? one : many} zu spät`;
}
