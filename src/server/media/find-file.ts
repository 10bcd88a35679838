import "server-only";
import { db } from "../db/pool";
import type { BlobInfo } from "./stores";

/** What is given where a size is asked for, the first there is: not everything is kept in every size. */
function inPlaceOf(size: string): string[] {
  if (size === "full") return ["full", "large", "whole"];
  return size === "moving" ? ["moving", "medium", "whole"] : [size, "whole"];
}

/** A file of a timeline's media, for its editors. */
export async function findDraftFile(timeline: string, media: string, size: string): Promise<BlobInfo | null> {
  const [row] = await db()<(Omit<BlobInfo, "size"> & { size: string })[]>`
    select b.hash, b.size, b.type, b.store from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash
    where m.id = ${media} and m.timeline_id = ${timeline} and f.size = any(${inPlaceOf(size)})
    order by array_position(${inPlaceOf(size)}::text[], f.size) limit 1`;
  return row ? { ...row, size: Number(row.size) } : null;
}

/** A file of media that a frozen version shows, by the name it has there; what the draft holds beside it is not reached this way. */
export async function findFrozenFile(version: string, media: string, size: string): Promise<BlobInfo | null> {
  const [row] = await db()<(Omit<BlobInfo, "size"> & { size: string })[]>`
    select b.hash, b.size, b.type, b.store from version_media v join media_file f on f.media_id = v.media_id join blob b on b.hash = f.hash
    where v.version_id = ${version} and v.called = ${media} and f.size = any(${inPlaceOf(size)})
    order by array_position(${inPlaceOf(size)}::text[], f.size) limit 1`;
  return row ? { ...row, size: Number(row.size) } : null;
}
