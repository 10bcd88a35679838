import { GUIDE, type GuideTask } from "@/core/words/guide";

/** The tasks that name every word of what was typed, in title, other words or sentences; all of them where nothing was. */
export function findTasks(typed: string): readonly GuideTask[] {
  const words = typed
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
  if (words.length === 0) return GUIDE;
  const scored = GUIDE.map((t) => {
    const [title, also, rest] = [t.title, t.also, t.steps.join(" ")].map((s) => s.toLowerCase());
    const points = words.map((w) => (title!.includes(w) ? 4 : also!.includes(w) ? 2 : rest!.includes(w) ? 1 : 0));
    return { t, points: points.includes(0) ? 0 : points.reduce((a: number, b) => a + b, 0) };
  });
  return scored
    .filter((s) => s.points > 0)
    .sort((a, b) => b.points - a.points)
    .map((s) => s.t);
}
