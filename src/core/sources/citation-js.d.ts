declare module "@citation-js/plugin-csl";
declare module "@citation-js/plugin-bibtex";
declare module "@citation-js/plugin-ris";
declare module "@citation-js/core" {
  /** A citeproc engine, as far as it is used. */
  interface Engine {
    updateItems(ids: string[]): string[];
    makeBibliography(): false | [{ entry_ids: string[][] }, string[]];
    makeCitationCluster(items: { id: string; locator?: string; label?: string }[]): string;
  }
  export const plugins: {
    config: { get(name: "@csl"): { engine(items: unknown[], style: string, locale: string, format: "html"): Engine } };
    input: {
      chain(text: unknown, options: { forceType: string; generateGraph: false }): Record<string, unknown>[];
    };
    output: { format(name: "bibtex" | "ris", items: unknown[]): string };
  };
}
