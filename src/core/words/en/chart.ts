const number = (n: number) => String(n).replace(/\B(?=(\d{3})+$)/g, ",");

/** What the drawing itself says. */
export const WORDS = {
  noDateYet: "no date yet",
  withParts: (title: string, parts: number) => `${title} (${parts} ${parts === 1 ? "part" : "parts"})`,
  more: (count: number) => `${number(count)} more`,
  noRoom: (count: number) => `${number(count)} more, without room for ${count === 1 ? "its label" : "their labels"}`,
  today: "today",
  noCategory: "No category",
  unnamed: "Unnamed",
  untitled: "Untitled",
  noDate: "No date",
  percentDone: (done: number) => `${done} percent done`,
  eventOf: (n: number, of: number) => `event ${n} of ${of}`,
  timeline: "Timeline",
};
