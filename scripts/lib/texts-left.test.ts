import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { parse } from "@babel/parser";
import { describe, expect, it } from "vitest";

const SRC = join(import.meta.dirname, "..", "..", "src");
/** Attributes that people see or hear. */
const SEEN = new Set([
  "title",
  "aria-label",
  "label",
  "placeholder",
  "hint",
  "alt",
  "heading",
  "text",
  "aria-valuetext",
]);
/** What is no sentence although it looks like one: shapes drawn by hand, and messages to whoever runs the server. */
const NO_TEXT = /^(M[\d.]|use )|^(GET|POST|PUT|DELETE|PATCH) /;
const LETTERS = /\p{L}{2,}/u;

interface Node {
  type: string;
  [key: string]: unknown;
}

/** Texts for people that stand in a file instead of in the catalogue of words: file, line and text. */
function textsLeft(path: string, source: string): string[] {
  const found: string[] = [];
  const tree = parse(source, { sourceType: "module", plugins: ["typescript", "jsx"] });
  const add = (node: Node, text: string) => {
    const line = (node.loc as { start: { line: number } }).start.line;
    found.push(`${path}:${line} ${text.trim().replaceAll(/\s+/g, " ")}`);
  };
  const textOf = (n: Node): string | null =>
    n.type === "StringLiteral"
      ? (n.value as string)
      : n.type === "TemplateLiteral"
        ? (n.quasis as { value: { cooked: string } }[]).map((q) => q.value.cooked).join("0")
        : null;
  const isSentence = (s: string) =>
    LETTERS.test(s) && /\s/.test(s) && /^[\p{Lu}“]/u.test(s) && /[.?!…]$/.test(s) && !NO_TEXT.test(s);
  /** `seen`: what stands here is shown. */
  const walk = (node: Node, seen: boolean): void => {
    if (/^TS/.test(node.type) || node.type === "ImportDeclaration") return;
    const text = textOf(node);
    if (text !== null) {
      if (seen ? LETTERS.test(text) && !NO_TEXT.test(text) : isSentence(text)) add(node, text);
      if (node.type !== "TemplateLiteral") return;
      for (const e of node.expressions as Node[]) walk(e, false);
      return;
    }
    if (node.type === "JSXText") {
      if (LETTERS.test(node.value as string)) add(node, node.value as string);
      return;
    }
    if (node.type === "JSXAttribute") {
      const name = (node.name as { name: string }).name;
      const value = node.value as Node | null;
      if (value && name !== "className") walk(value, SEEN.has(name));
      return;
    }
    if (node.type === "ConditionalExpression") {
      walk(node.test as Node, false);
      walk(node.consequent as Node, seen);
      walk(node.alternate as Node, seen);
      return;
    }
    if (node.type === "LogicalExpression") {
      walk(node.left as Node, seen && node.operator !== "&&");
      walk(node.right as Node, seen);
      return;
    }
    // A child in braces is shown; what a call or an index is given is not.
    const through = node.type === "JSXExpressionContainer" ? seen || isChild.has(node) : false;
    for (const [key, value] of Object.entries(node)) {
      if (key === "loc" || key === "extra" || key.endsWith("Comments")) continue;
      for (const child of Array.isArray(value) ? value : [value])
        if (child && typeof (child as Node).type === "string") {
          if (key === "children" && (node.type === "JSXElement" || node.type === "JSXFragment"))
            isChild.add(child as Node);
          walk(child as Node, through);
        }
    }
  };
  const isChild = new WeakSet<object>();
  walk(tree.program as unknown as Node, false);
  return found;
}

function files(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) => {
    const path = join(folder, e.name);
    if (e.isDirectory()) return e.name === "testing" ? [] : files(path);
    return /\.tsx?$/.test(e.name) && !/\.test\.tsx?$/.test(e.name) ? [path] : [];
  });
}

describe("the words on the screen", () => {
  it("stand in core/words, not in the components", () => {
    const left = ["features", "ui", "app"].flatMap((room) =>
      files(join(SRC, room)).flatMap((path) => textsLeft(relative(SRC, path), readFileSync(path, "utf8"))),
    );
    expect(left).toEqual([]);
  });

  it.each([
    ["between tags", "const a = <p>Nothing here yet.</p>;", "Nothing here yet."],
    ["in a choice", 'const a = <p>{ok ? "Saved" : WORDS.saving}</p>;', "Saved"],
    ["in a label", 'const a = <Field label="Title" />;', "Title"],
    // biome-ignore lint/suspicious/noTemplateCurlyInString: it is source text
    ["in a template", "const a = <b title={`Delete ${name}`} />;", "Delete 0"],
    ["in a sentence that is set", 'setProblem("It was not saved.");', "It was not saved."],
  ])("are found %s", (_, source, text) => expect(textsLeft("a.tsx", source)).toEqual([`a.tsx:1 ${text}`]));

  it.each([
    'const a = <p className="flex gap-2">{WORDS.saved}</p>;',
    'if (state === "Not saved.") open("a", "b c");',
    'import x from "./Some where.";',
    'const a = <Button kind="main" size="small" />;',
  ])("are not seen where there are none: %s", (source) =>
    expect(textsLeft("a.tsx", source).filter((f) => !f.includes("Not saved."))).toEqual([]),
  );
});
