import { build } from "esbuild";
import { join } from "node:path";
const ROOT=process.cwd();
const entry=process.argv[2];
const r=await build({stdin:{contents:`export * from "${entry}"`,resolveDir:ROOT,loader:"ts"},bundle:true,write:false,metafile:true,platform:"node",format:"esm",target:"node20",packages:"external",alias:{"@":join(ROOT,"src"),"server-only":join(ROOT,"scripts/lib/empty.mjs")}});
const ins=r.metafile.inputs;
const o=Object.values(r.metafile.outputs)[0];
console.log(entry,"bytes",o.bytes,"inputs",Object.keys(ins).length,"ext",[...new Set(o.imports.filter(i=>i.external&&i.kind==="import-statement").map(i=>i.path))].filter(x=>!x.startsWith("node:")).join(" "));
const by={};for(const [p,i] of Object.entries(o.inputs)){by[p]=i.bytesInOutput}
for(const [p,b] of Object.entries(by).sort((a,b)=>b[1]-a[1]).slice(0,+process.argv[3]||8))console.log("   ",b,p);
// why: parents of each external
if(process.argv[4]){for(const [p,i] of Object.entries(ins))for(const m of i.imports)if(m.path.includes(process.argv[4]))console.log("  <-",p)}
