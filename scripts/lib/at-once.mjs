// What a page loads of the build is run as soon as it is there, module for module. Browsers do not know: they skim every function of a
// file and read it again when it is called. A function in brackets of its own they read for good at once, and on another thread while it
// still comes in (https://v8.dev/blog/preparser#pife). An editor opens with a quarter less of its page's thread so.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { parse } from "@babel/parser";

const isFunction = (node) => node?.type === "ArrowFunctionExpression" || node?.type === "FunctionExpression";

/** The list of modules a file of the build hands over: `(…).push([…, name, module, …])`; none where it is another file. */
function modulesOf(program) {
  return program.body.flatMap(({ expression: call }) =>
    call?.type === "CallExpression" &&
    call.callee.type === "MemberExpression" &&
    call.callee.property.name === "push" &&
    call.arguments[0]?.type === "ArrayExpression"
      ? call.arguments[0].elements.filter(isFunction)
      : [],
  );
}

/** A file of the build with each of its modules in brackets; what is in some already, and any other file, stays as it is. */
export function atOnce(source) {
  let done = "";
  let from = 0;
  for (const { start, end } of modulesOf(parse(source, { sourceType: "script" }).program)) {
    if (source[start - 1] === "(" && source[end] === ")") continue;
    done += `${source.slice(from, start)}(${source.slice(start, end)})`;
    from = end;
  }
  return done + source.slice(from);
}

/** Does it to every script of a folder. */
export function readAtOnce(folder) {
  for (const name of readdirSync(folder, { recursive: true })) {
    if (!name.endsWith(".js")) continue;
    const file = join(folder, name);
    const source = readFileSync(file, "utf8");
    const marked = atOnce(source);
    if (marked !== source) writeFileSync(file, marked);
  }
}
