const LIMIT_MS = 30_000;

/** How a person's timeline is frozen: one at a time, in a thread. */
export const freezing = (person: string) =>
  ({ in: "drawings", key: person, what: `freezing by ${person}`, limitMs: LIMIT_MS }) as const;
