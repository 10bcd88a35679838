/** So many sites one page may be shown in, each named. */
export const MOST_SITES = 20;

/**
 * The sites in whose pages something may stand, as origins ("https://school.example:8443"); "*" stands for all, alone. A site written
 * without "https://" is taken to have it; a path behind it is left off. Null where one is none.
 */
export function readSites(typed: readonly string[]): string[] | null {
  const found = new Set<string>();
  for (const text of typed) {
    const site = text.trim();
    if (site === "") continue;
    if (site === "*") return ["*"];
    let url: URL;
    try {
      url = new URL(/^[a-z]+:\/\//i.test(site) ? site : `https://${site}`);
    } catch {
      return null;
    }
    // What stands in a header must not hold signs that mean something there.
    if (!/^https?:$/.test(url.protocol) || !/^[a-z0-9.-]+$|^\[[0-9a-f:]+\]$/i.test(url.hostname)) return null;
    if (url.username || url.password) return null;
    found.add(url.origin);
  }
  return found.size > MOST_SITES ? null : [...found];
}
