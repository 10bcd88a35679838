import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, utimesSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { atOnce, readAtOnce } from "./at-once.mjs";

/** What a file of the build hands over when it is run: the same, however its modules are written. */
function handedOver(source: string): unknown[] {
  const here: { push: (list: unknown[]) => void; got: unknown[] } = { got: [], push: (list) => here.got.push(...list) };
  new Function("HERE", source)({ LIST: here });
  return here.got;
}

const MODULES =
  '(HERE.LIST||(HERE.LIST=[])).push([0,517786,e=>{return e+"),(e=>{"},153732,748082,function(e){return[e,(x)=>x]},12,"s"]);';

describe("a file of the build", () => {
  it("has each of its modules in brackets, and hands over what it did", () => {
    const marked = atOnce(MODULES);
    expect(marked).toContain('517786,(e=>{return e+"),(e=>{"}),153732,748082,(function(e){return[e,(x)=>x]}),12');
    const before = handedOver(MODULES) as ((x: number) => unknown)[];
    const after = handedOver(marked) as ((x: number) => unknown)[];
    expect(after.map(String)).toEqual(before.map(String));
    expect(after[2]!(1)).toBe("1),(e=>{");
    expect((after[5]!(1) as [number])[0]).toBe(1);
  });

  it("stays as it is when it was done before, or hands over no modules", () => {
    for (const other of [
      atOnce(MODULES),
      "",
      "var list = []; list.push(1, x => x); list.push([1, 2]);",
      "(()=>{ const run = (x) => x; run(1); })();",
      "[e => e].map(String);",
    ])
      expect(atOnce(other)).toBe(other);
  });

  it("that cannot be read stops the build", () => {
    expect(() => atOnce("LIST.push([e=>{)")).toThrow(SyntaxError);
  });

  it("is written only where something is changed; what is no script is left alone", () => {
    const folder = mkdtempSync(join(tmpdir(), "fastigo-at-once-"));
    try {
      mkdirSync(join(folder, "chunks"));
      const files = {
        "chunks/a.js": MODULES,
        "b.js": "let a = 1;",
        "chunks/c.css": "a{}",
        "d.js.map": "LIST.push([e=>{",
      };
      const old = new Date("2026-01-01");
      for (const [name, text] of Object.entries(files)) {
        writeFileSync(join(folder, name), text);
        utimesSync(join(folder, name), old, old);
      }
      readAtOnce(folder);
      expect(readFileSync(join(folder, "chunks/a.js"), "utf8")).toBe(atOnce(MODULES));
      for (const name of ["b.js", "chunks/c.css", "d.js.map"]) {
        expect(readFileSync(join(folder, name), "utf8")).toBe(files[name as keyof typeof files]);
        expect(statSync(join(folder, name)).mtime).toEqual(old);
      }
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});
