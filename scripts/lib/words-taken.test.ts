import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { parse } from "@babel/parser";
import { describe, expect, it } from "vitest";

const SRC = join(import.meta.dirname, "..", "..", "src");
const WORDS = join(SRC, "core", "words");

interface Node {
  type: string;
  [key: string]: unknown;
}

/** Words of the catalogue that are taken while a file is loaded, when nobody is there yet whose language they could be in: file and line. */
function takenEarly(path: string, source: string): string[] {
  const tree = parse(source, { sourceType: "module", plugins: ["typescript", "jsx"] }).program as unknown as Node;
  const names = new Set<string>();
  for (const node of tree.body as Node[])
    if (
      node.type === "ImportDeclaration" &&
      node.importKind !== "type" &&
      /\bwords\//.test((node.source as { value: string }).value)
    )
      for (const one of node.specifiers as Node[]) names.add((one.local as { name: string }).name);
  const found = new Set<string>();
  // What a method is given ("of each of these") is done at once.
  const atOnce = new WeakSet<object>();
  const walk = (node: Node): void => {
    if (node.type === "CallExpression" && (node.callee as Node).type === "MemberExpression")
      for (const given of node.arguments as Node[]) atOnce.add(given);
    if (atOnce.has(node) && /Function/.test(node.type)) {
      walk(node.body as Node);
      return;
    }
    if (
      /^TS/.test(node.type) ||
      node.type === "ImportDeclaration" ||
      /Function|ClassMethod|ObjectMethod/.test(node.type)
    )
      return;
    if (node.type === "Identifier" && names.has(node.name as string))
      found.add(`${path}:${(node.loc as { start: { line: number } }).start.line}`);
    for (const [key, value] of Object.entries(node)) {
      if (key === "loc" || key.endsWith("Comments")) continue;
      // A type says nothing; a name that is exported or handed on is asked for when it is used.
      if (key === "typeAnnotation" || key === "typeParameters" || (key === "property" && !node.computed)) continue;
      for (const child of Array.isArray(value) ? value : [value])
        if (child && typeof (child as Node).type === "string") walk(child as Node);
    }
  };
  walk(tree);
  return [...found];
}

function files(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) => {
    const path = join(folder, e.name);
    if (path === WORDS) return [];
    if (e.isDirectory()) return files(path);
    return /\.tsx?$/.test(e.name) && !/\.test\.tsx?$/.test(e.name) ? [path] : [];
  });
}

describe("the words of the catalogue", () => {
  it("are asked for where they are said, in the language of the moment", () =>
    expect(files(SRC).flatMap((path) => takenEarly(relative(SRC, path), readFileSync(path, "utf8")))).toEqual([]));

  it("are found where a file takes them as it is loaded", () =>
    expect(
      takenEarly(
        "a.tsx",
        'import { WORDS } from "@/core/words/pages";\nconst A = WORDS.bin;\nconst f = () => WORDS.bin;\nlet w: typeof WORDS;',
      ),
    ).toEqual(["a.tsx:2"]));
});
