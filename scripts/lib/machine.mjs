// What the machine must have: Debian's packages, and the npm packages of the lock file.
import { execFileSync, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import {
  accessSync,
  constants,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { dirname, join } from "node:path";
import { packFiles } from "./packed.mjs";
import { say, Stop } from "./say.mjs";

export const ROOT = join(import.meta.dirname, "..", "..");

/** Installs Debian packages when `present()` says they are missing. */
export function ensurePackages(names, present, otherwise) {
  if (present()) return;
  const list = names.join(" ");
  const byHand = `As an administrator run: apt-get install ${list}${otherwise ? `. ${otherwise}` : ""}`;
  if (spawnSync("apt-get", ["--version"]).error)
    throw new Stop(`${list} is missing, and this machine has no apt-get to install it with. ${byHand}`);
  const root = process.getuid?.() === 0;
  const sudo = !root && spawnSync("sudo", ["-n", "true"]).status === 0;
  if (!root && !sudo) throw new Stop(`${list} is missing, and only an administrator can install it. ${byHand}`);
  say(`Installing ${list} ...`);
  const apt = (...args) =>
    spawnSync(sudo ? "sudo" : "apt-get", [...(sudo ? ["-n", "apt-get"] : []), ...args], {
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
      encoding: "utf8",
    });
  apt("update", "-qq");
  const done = apt("install", "-y", "-qq", "--no-install-recommends", ...names);
  if (done.status !== 0 || !present())
    throw new Stop(
      `Installing ${list} failed:\n${(done.stderr || done.stdout || "").trim().split("\n").slice(-4).join("\n")}\n${byHand}`,
    );
}

/** Installs what the lock file says, when node_modules does not match it yet. */
export function ensureDependencies(quiet = false) {
  const stamp = join(ROOT, "node_modules", ".fastigo-lock");
  const patches = join(ROOT, "patches");
  const lock = ["package-lock.json", ...readdirSync(patches).map((name) => join("patches", name))]
    .sort()
    .reduce((hash, file) => hash.update(readFileSync(join(ROOT, file))), createHash("sha256"))
    .digest("hex");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === lock) return;
  if (!quiet) say("Installing the packages of the lock file ...");
  const done = spawnSync("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error", "--include=dev"], {
    cwd: ROOT,
    stdio: ["ignore", "ignore", "inherit"],
  });
  if (done.status !== 0)
    throw new Stop(
      "npm could not install the packages of the lock file. See its message above; a network or a proxy setting is the usual cause.",
    );
  // What we mend in packages, until they are mended where they are made.
  const patched = spawnSync(
    process.execPath,
    [join(ROOT, "node_modules", "patch-package", "index.js"), "--error-on-fail"],
    { cwd: ROOT, encoding: "utf8" },
  );
  if (patched.status !== 0)
    throw new Stop(
      `What is in patches/ does not fit the packages of the lock file:\n${patched.stdout}${patched.stderr}`,
    );
  writeFileSync(stamp, lock);
}

/** A hash over the files of the given folders and files: what a build depends on. */
export function hashOf(paths) {
  const hash = createHash("sha256");
  const walk = (path) => {
    if (["reader", "words"].some((made) => path === join(ROOT, "public", made))) return; // made by the build itself
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) walk(join(path, name));
    else hash.update(path.slice(ROOT.length)).update("\0").update(readFileSync(path)).update("\0");
  };
  for (const p of paths) if (existsSync(join(ROOT, p))) walk(join(ROOT, p));
  return hash.digest("hex");
}

/** Stops where files are to be kept in a store of which something needed is not said. */
export function ensureMediaStore() {
  const { MEDIA_STORE } = process.env;
  if (MEDIA_STORE !== undefined && !["database", "s3"].includes(MEDIA_STORE))
    throw new Stop(`MEDIA_STORE must be database or s3, not "${MEDIA_STORE}".`);
  if (MEDIA_STORE !== "s3") return;
  const missing = ["S3_ENDPOINT", "S3_BUCKET", "S3_ACCESS_KEY", "S3_SECRET_KEY"].filter((name) => !process.env[name]);
  if (missing.length > 0)
    throw new Stop(
      `MEDIA_STORE=s3 needs ${missing.join(", ")}. Set them, or leave MEDIA_STORE away to keep files in the database.`,
    );
}

/** The name of the build these sources give: pages and drawings are stored under it. */
export function nameOfBuild() {
  return hashOf([
    "src",
    "public",
    "patches",
    "package-lock.json",
    "next.config.ts",
    "postcss.config.mjs",
    "tsconfig.json",
    join("scripts", "lib", "at-once.mjs"),
    join("scripts", "lib", "machine.mjs"),
    join("scripts", "lib", "packed.mjs"),
  ]).slice(0, 16);
}

/** Builds the application when its sources changed since the last build; returns the build's name. */
export async function ensureBuilt() {
  const build = nameOfBuild();
  const stamp = join(ROOT, ".next", "fastigo-build");
  const there =
    existsSync(stamp) &&
    existsSync(join(ROOT, "public", "reader", "views.js")) &&
    LANGUAGES.every(
      (l) =>
        existsSync(join(ROOT, "public", "words", `${l}.js`)) &&
        existsSync(join(ROOT, "public", "reader", l, "views.js")),
    ) &&
    existsSync(join(ROOT, "dist", "front.mjs")) &&
    existsSync(join(ROOT, "dist", "work.mjs"));
  if (there && readFileSync(stamp, "utf8") === build) {
    if (process.env.MIRROR === "1" && !existsSync(join(ROOT, "public", "words", "zz.js"))) await bundleWords();
    return build;
  }
  say("Building (under a minute) ...");
  const again = existsSync(stamp);
  await bundleForReaders();
  await bundleForThreads();
  const done = spawnSync(process.execPath, [join(ROOT, "node_modules", "next", "dist", "bin", "next"), "build"], {
    cwd: ROOT,
    encoding: "utf8",
    env: {
      ...process.env,
      NODE_ENV: "production",
      NEXT_TELEMETRY_DISABLED: "1",
      FASTIGO_BUILD: build,
      FASTIGO_BUILDS_AGAIN: again ? "1" : "0",
    },
  });
  if (done.status !== 0) throw new Stop(`The build failed:\n${done.stdout}\n${done.stderr}`);
  const { readAtOnce } = await import("./at-once.mjs");
  readAtOnce(join(ROOT, ".next", "static"));
  for (const folder of [join(ROOT, ".next", "static"), join(ROOT, "public", "reader"), join(ROOT, "public", "words")])
    await packFiles(folder);
  writeFileSync(stamp, build);
  return build;
}

/** The languages but English. */
const LANGUAGES = ["de", "es"];

/** Bundles what a reader's page loads, into public/reader. */
export async function bundleForReaders() {
  const { build } = await import("esbuild");
  const entries = {
    chart: "src/features/reader/reader-chart.ts",
    "chart-worker": "src/workers/chart.worker.ts",
    index: "src/features/reader/reader-index-list.ts",
    map: "src/features/reader/reader-map.ts",
    practice: "src/features/reader/reader-practice.ts",
    present: "src/features/reader/reader-present.ts",
    scorm: "src/features/reader/reader-scorm.ts",
    views: "src/features/reader/reader-views.ts",
  };
  for (const language of ["", ...LANGUAGES])
    for (const [name, entry] of Object.entries(entries)) {
      // What lays charts out says nothing but what stands on them, which is in the language of each.
      if (language !== "" && name === "chart-worker") continue;
      await build({
        entryPoints: [join(ROOT, entry)],
        outfile: join(ROOT, "public", "reader", language, `${name}.js`),
        bundle: true,
        minify: true,
        format: name === "chart-worker" ? "esm" : "iife",
        target: "es2022",
        alias: { "@": join(ROOT, "src") },
        ...(language ? { banner: { js: `globalThis.fastigoSpeaks="${language}";` } } : {}),
        plugins: [
          NO_DOCUMENTS,
          ...(name === "chart-worker" ? [] : [HOUSE_TYPE_ALONE]),
          ...(language ? [inLanguage(language)] : []),
        ],
        logLevel: "error",
      });
    }
  copyPdfWorker();
  await bundleWords();
}

/** Bundles what the interface says in each language, a script that a page loads before its own, into public/words. */
async function bundleWords() {
  const { build } = await import("esbuild");
  const said = LANGUAGES.map((l) => [l, `import { ${l.toUpperCase()} as words } from "./${l}/all";`]);
  // Where tests are done there is one more: English in a mirror.
  if (process.env.MIRROR === "1")
    said.push([
      "zz",
      `import { EN } from "./en/all"; import { mirrored } from "@/core/language/mirrored"; const words = mirrored(EN);`,
    ]);
  for (const [language, words] of said)
    await build({
      stdin: {
        contents: `${words}
          (globalThis.fastigoWords ??= {}).${language} = words; globalThis.fastigoSpeaks = "${language}";`,
        resolveDir: join(ROOT, "src", "core", "words"),
        loader: "ts",
      },
      outfile: join(ROOT, "public", "words", `${language}.js`),
      bundle: true,
      minify: true,
      format: "iife",
      target: "es2022",
      alias: { "@": join(ROOT, "src") },
      logLevel: "error",
    });
}

/** What draws PDFs for their preview works in a worker, which ships beside the readers' scripts. */
function copyPdfWorker() {
  const from = join(ROOT, "node_modules", "pdfjs-dist", "legacy", "build", "pdf.worker.min.mjs");
  copyFileSync(from, join(ROOT, "public", "reader", "pdf-worker.js"));
}

/** What a page holds of descriptions are blocks and first words: the documents they were written as are the editor's. */
const NO_DOCUMENTS = {
  name: "no-documents",
  setup(build) {
    build.onResolve({ filter: /^yjs$/ }, () => ({ path: join(ROOT, "scripts/lib/empty.mjs") }));
  },
};

/** A page brings along the widths of the type it is written in; its scripts know those of the house. */
const HOUSE_TYPE_ALONE = {
  name: "house-type-alone",
  setup(build) {
    build.onResolve({ filter: /\/font-tables\/all-families$/ }, () => ({
      path: join(ROOT, "src/core/text/font-tables/house-family.ts"),
    }));
  },
};

/** A page speaks one language: its scripts hold the words of that one in place of the English ones. */
const inLanguage = (language) => ({
  name: "in-language",
  setup(build) {
    const words = join(ROOT, "src", "core", "words");
    build.onResolve({ filter: /^\.\/en\/[a-z-]+$/ }, ({ path, importer }) => {
      // The drawing's own words are there in every language.
      if (dirname(importer) !== words || path === "./en/chart") return;
      const file = join(words, language, `${path.slice("./en/".length)}.ts`);
      return existsSync(file) ? { path: file } : undefined;
    });
  },
});

/** Bundles what the server's threads do, into dist. */
export async function bundleForThreads() {
  await bundle("src/app/front.ts", "front");
  // What threads do is read part by part: each part is a file, and what several share is one too.
  rmSync(join(ROOT, "dist", "work"), { recursive: true, force: true });
  return bundle("src/threads/work.ts", "work", { splitting: true, chunkNames: "work/[name]-[hash]" });
}

/** Bundles what does jobs in a process of its own. */
export function bundleForJobs() {
  return bundle("src/threads/jobs-process.ts", "jobs");
}

/** Bundles a TypeScript entry for Node; returns the bundle's path. */
export async function bundle(entry, name, more = {}) {
  const { build } = await import("esbuild");
  mkdirSync(join(ROOT, "dist"), { recursive: true });
  const outdir = join(ROOT, "dist");
  await build({
    entryPoints: { [name]: join(ROOT, entry) },
    outdir,
    outExtension: { ".js": ".mjs" },
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    packages: "external",
    alias: { "@": join(ROOT, "src"), "server-only": join(ROOT, "scripts", "lib", "empty.mjs") },
    logLevel: "error",
    ...more,
  });
  return join(outdir, `${name}.mjs`);
}

export function hasProgram(path) {
  try {
    accessSync(path, constants.X_OK);
    return true;
  } catch {
    return false;
  }
}

/** Whether a program of that name is on the path. */
export function onPath(name) {
  try {
    execFileSync("sh", ["-c", `command -v ${name}`], { stdio: "ignore" });
    return true;
  } catch {
    return false;
  }
}
