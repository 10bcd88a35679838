/** What the drawing itself says. */
export const WORDS = {
  noDateYet: "no date yet",
};
