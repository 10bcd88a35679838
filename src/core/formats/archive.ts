/** The number of the form in which everything of somebody is packed; raised when its meaning changes. */
export const ARCHIVE_FORMAT = 1;
export const ARCHIVE_NAME = "everything of mine";

/** `archive.json`, the first file: what this is, and how many timelines and classes follow. */
export interface ArchiveHead {
  fastigo: typeof ARCHIVE_NAME;
  format: number;
  timelines: number;
  /** Classes with their works, after the timelines; missing: none. */
  classes?: number;
}

/**
 * `timelines/N/index.json`, before the other files of each timeline: which they are, with their SHA-256. So are `classes/N/works/M/` and,
 * after all works of it, `classes/N/`, whose `id` and `title` are those of the class.
 */
export interface ArchiveIndex {
  id: string;
  role: string;
  title: string;
  files: ArchiveFile[];
}

export interface ArchiveFile {
  path: string;
  size: number;
  sha256: string;
  /** Of media: what its file was called. */
  name?: string;
}

/** What a path of an archive may be; anything else is left where it is. */
const PATHS = [
  /^archive\.json$/,
  /^account\.json$/,
  /^README\.txt$/,
  /^timelines\/\d{1,6}\/(?:index|timeline|history)\.json$/,
  /^timelines\/\d{1,6}\/media\/[A-Za-z0-9_-]{1,40}$/,
  /^classes\/\d{1,6}\/(?:index|class)\.json$/,
  /^classes\/\d{1,6}\/works\/\d{1,6}\/(?:index|timeline)\.json$/,
  /^classes\/\d{1,6}\/works\/\d{1,6}\/media\/[A-Za-z0-9_-]{1,40}$/,
];
export const isArchivePath = (path: string): boolean => PATHS.some((p) => p.test(path));

/** Why a head is none that can be read here: no archive, or one of a later Fastigo; null for none. */
export function headProblem(value: unknown): "not_an_archive" | "later" | null {
  const head = value as Partial<ArchiveHead> | null;
  if (typeof head !== "object" || head === null || head.fastigo !== ARCHIVE_NAME || typeof head.format !== "number")
    return "not_an_archive";
  return head.format > ARCHIVE_FORMAT ? "later" : null;
}

/** An index as it was read; null where it is not one, or names files that no archive has. */
export function readIndex(value: unknown): ArchiveIndex | null {
  const index = value as Partial<ArchiveIndex> | null;
  if (typeof index !== "object" || index === null || !Array.isArray(index.files)) return null;
  const fine = index.files.every(
    (f: Partial<ArchiveFile> | null) =>
      typeof f?.path === "string" &&
      isArchivePath(f.path) &&
      typeof f.size === "number" &&
      typeof f.sha256 === "string" &&
      /^[0-9a-f]{64}$/.test(f.sha256),
  );
  return fine && typeof index.title === "string" ? (index as ArchiveIndex) : null;
}
