import { MOST_TEXT } from "@/core/bring-in/files/limits";
import type { FileKind } from "@/core/bring-in/files/endings";
import { kindOf } from "@/core/bring-in/files/endings";
import { zipEntries } from "@/ui/zip-entries";

/** Which size of a file of a folder is the best there is: the first that is there. */
const BEST = ["whole", "moving", "large", "medium", "small"] as const;
const MEDIA = /^media\/([A-Za-z0-9_-]{1,40})\/(whole|moving|large|medium|small)(?:\.[a-z0-9]{1,5})?$/;
const FOLDER: FileKind = "zip";

export const isFolderFile = (file: File): boolean => kindOf(file.name) === FOLDER;

/** What a zipped folder of a timeline holds that can be brought in: its data, and its media by their ids. Null where it is none. */
export async function readFolder(file: File): Promise<{ data: Uint8Array; media: Map<string, Blob> } | null> {
  let data: Uint8Array | null = null;
  const found = new Map<string, { rank: number; blob: Blob }>();
  for await (const { path, blob } of zipEntries(file, (p) => p === "data.json" || MEDIA.test(p))) {
    if (path === "data.json") {
      if (blob.size > MOST_TEXT) return null;
      data = new Uint8Array(await blob.arrayBuffer());
      continue;
    }
    const [, id, size] = MEDIA.exec(path)!;
    const rank = BEST.indexOf(size as (typeof BEST)[number]);
    const known = found.get(id!);
    if (!known || rank < known.rank) found.set(id!, { rank, blob });
  }
  return data && { data, media: new Map([...found].map(([id, { blob }]) => [id, blob])) };
}
