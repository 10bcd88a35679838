import "server-only";
import { readFileSync } from "node:fs";
import { join } from "node:path";

export interface Package {
  name: string;
  version: string;
  licence: string;
}

let known: Package[] | null = null;

/** What Fastigo is made with, out of its lock file: every package that comes with it, by name. */
export function packages(): Package[] {
  if (known) return known;
  const root = process.env.FASTIGO_ROOT ?? process.cwd();
  const lock = JSON.parse(readFileSync(join(root, "package-lock.json"), "utf8")) as {
    packages: Record<string, { version?: string; license?: string; dev?: boolean }>;
  };
  const found = new Map<string, Package>();
  for (const [path, p] of Object.entries(lock.packages)) {
    const name = path.split("node_modules/").at(-1)!;
    if (!path || p.dev || !p.version) continue;
    found.set(`${name} ${p.version}`, { name, version: p.version, licence: p.license ?? "" });
  }
  known = [...found.values()].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
  return known;
}
