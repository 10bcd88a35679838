import { createHash } from "node:crypto";
import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import { unzipSync } from "fflate";
import type { Frozen } from "@/core/formats/frozen";
import { readJson } from "@/core/formats/read-json";
import { canonicalJson } from "@/core/text/canonical-json";
import { Refusal } from "./layout";

/** A frozen copy is no larger unpacked. */
const MOST_BYTES = 400_000_000;

/** Says what is in a frozen copy and its fingerprint; 1 where it is not whole or another than was named. */
export async function verify(args: string[]): Promise<number> {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: { fingerprint: { type: "string" } },
  });
  const [file, extra] = positionals;
  if (!file || extra !== undefined) throw new Refusal("One file is needed.");
  const text = contentOf(file, await read(file));
  const found = readJson(text);
  if ("problem" in found) throw new Refusal(`${file}: ${found.problem}`);
  const fingerprint = createHash("sha256").update(text).digest("hex");
  // What was frozen is written in one way only: any other spelling was made by somebody else.
  const whole = canonicalJson(JSON.parse(text) as Frozen) === text;
  const wanted = values.fingerprint?.toLowerCase().replaceAll(/[^0-9a-f]/g, "");
  const same = wanted === undefined || (wanted.length >= 8 && fingerprint.startsWith(wanted));
  const { title, events } = found.frozen;
  process.stdout.write(`${JSON.stringify({ title, events: events.length, fingerprint, whole, same })}\n`);
  if (!whole) process.stderr.write(`${file} is not as it was frozen: it was written again or altered.\n`);
  if (!same) process.stderr.write(`${file} has another fingerprint than ${values.fingerprint}: it is not that copy.\n`);
  return whole && same ? 0 : 1;
}

export async function read(file: string): Promise<Uint8Array> {
  try {
    return new Uint8Array(await readFile(file));
  } catch (e) {
    const code = (e as NodeJS.ErrnoException).code;
    throw new Refusal(`${file} cannot be read: ${code === "ENOENT" ? "there is no such file" : code}.`);
  }
}

/** The content that is hashed: the JSON itself, or that in a folder. */
function contentOf(file: string, bytes: Uint8Array): string {
  const entry = isZip(bytes) ? unzipped(file, bytes)["data.json"] : bytes;
  if (!entry) throw new Refusal(`${file}: there is no data.json in it, so it is no folder of a timeline.`);
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(entry).replace(/\n$/, "");
  } catch {
    throw new Refusal(`${file} is no text: it was broken off or altered.`);
  }
}

export const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** The files of a zip by their paths; what leads out of it, or is larger than any folder, is refused. */
export function unzipped(file: string, bytes: Uint8Array): Record<string, Uint8Array> {
  let sum = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        sum += originalSize;
        if (sum > MOST_BYTES) throw new Refusal(`${file} is larger unpacked than any folder of a timeline.`);
        return !name.split("/").includes("..") && !name.startsWith("/");
      },
    });
  } catch (e) {
    if (e instanceof Refusal) throw e;
    throw new Refusal(`${file} is no whole zip: it was broken off or altered.`);
  }
}
