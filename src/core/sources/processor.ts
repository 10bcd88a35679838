/** The library that reads, writes and formats sources: large, and so loaded only where it is used. */
export async function citationStyles() {
  const [{ plugins }] = await Promise.all([import("@citation-js/core"), import("@citation-js/plugin-csl")]);
  return plugins.config.get("@csl");
}

export async function citationFiles() {
  const [{ plugins }] = await Promise.all([
    import("@citation-js/core"),
    import("@citation-js/plugin-bibtex"),
    import("@citation-js/plugin-ris"),
  ]);
  return plugins;
}
export type CitationFiles = Awaited<ReturnType<typeof citationFiles>>;
export type CitationStyles = Awaited<ReturnType<typeof citationStyles>>;
