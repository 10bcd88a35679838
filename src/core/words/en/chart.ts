/** What the drawing itself says. */
export const WORDS = {
  noDateYet: "no date yet",
  withParts: (title: string, parts: number) => `${title} (${parts} ${parts === 1 ? "part" : "parts"})`,
};
