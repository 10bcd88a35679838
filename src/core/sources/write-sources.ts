import type { SourceValues } from "./cited";
import { citationFiles } from "./processor";
import { toCsl } from "./csl-json";
import type { SourceFormat } from "./read-sources";

/** Sources as other programs read them; each has a key made of its author and year where it brought none. */
export async function writeSources(sources: readonly SourceValues[], format: SourceFormat): Promise<string> {
  const items = withKeys(sources);
  if (format === "csl-json") return `${JSON.stringify(items, null, 2)}\n`;
  const plugins = await citationFiles();
  return `${items.map((item) => plugins.output.format(format, [item]).trim()).join("\n")}\n`;
}

function withKeys(sources: readonly SourceValues[]) {
  const used = new Map<string, number>();
  return sources.map((source) => {
    const name = (source.authors[0]?.split(",")[0] || source.title.split(/\s+/)[0] || "source")
      .normalize("NFD")
      .replaceAll(/[^A-Za-z0-9]/g, "")
      .toLowerCase();
    const made = `${name || "source"}${/\d{4}/.exec(source.date.edtf ?? "")?.[0] ?? ""}`;
    // The key it came with stays, so that a text that names it still finds it.
    const key = source.rest["citation-key"] ?? made;
    const before = used.get(key) ?? 0;
    used.set(key, before + 1);
    const id = before === 0 ? key : `${key}${letters(before)}`;
    const item = toCsl(id, source);
    return { ...item, "citation-key": id };
  });
}

/** b, c, ... z, aa, ab, ... */
function letters(n: number): string {
  return n < 26 ? String.fromCharCode(97 + n) : letters(Math.floor(n / 26) - 1) + String.fromCharCode(97 + (n % 26));
}
