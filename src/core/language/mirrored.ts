/** What is not said: by these one thing is known from another. */
const KEYS = new Set(["id", "to", "file"]);

/**
 * A language nobody speaks, to see what one that is written from right to left and has longer words would do: every sentence in brackets
 * and a third longer. What stands on a screen without brackets is no sentence of the catalogue.
 */
export function mirrored<T>(said: T): T {
  if (typeof said === "string") return (said === "" ? said : `⟦${said}${"·".repeat(Math.ceil(said.length / 3))}⟧`) as T;
  if (typeof said === "function")
    return ((...told: unknown[]) => mirrored((said as (...told: unknown[]) => unknown)(...told))) as T;
  if (Array.isArray(said)) return said.map(mirrored) as T;
  if (said !== null && typeof said === "object")
    return Object.fromEntries(
      Object.entries(said).map(([name, words]) => [name, KEYS.has(name) ? words : mirrored(words)]),
    ) as T;
  return said;
}
