import { nanoid } from "nanoid";
import { timelineOfFile } from "@/core/bring-in/whole-timeline";
import { copyTimeline } from "@/core/change/copy-events";
import { type ArchivedChange, historyThere } from "@/core/change/history-there";
import { type ArchiveHead, type ArchiveIndex, headProblem, isArchivePath, readIndex } from "@/core/formats/archive";
import { readJson } from "@/core/formats/read-json";
import { WORDS } from "@/core/words/accounts";
import { askServer } from "@/ui/ask-server";
import { sendFile } from "@/ui/upload";
import { zipEntries } from "@/ui/zip-entries";

const WRITER = 1;
/** A long history takes its time. */
const HISTORY_MS = 300_000;

/**
 * Reads an archive bit by bit and makes a timeline of each that is whole: all its files came, and are what its index says. Whatever else
 * is in the file is passed over. Says what could not be brought in, and why.
 */
export async function bringBack(
  file: File,
  tell: (title: string, n: number, of: number) => void,
): Promise<{ done: number; problems: string[] }> {
  const problems: string[] = [];
  let head: ArchiveHead | null = null;
  let stopped = false;
  let done = 0;
  let seen = 0;
  let index: ArchiveIndex | null = null;
  let files = new Map<string, Blob>();

  const finish = async () => {
    const now = index;
    if (!now || now.files.some((f) => !files.has(f.path))) return;
    index = null;
    seen++;
    tell(now.title, seen, head?.timelines ?? seen);
    const brought = await bringOne(now, files);
    files = new Map();
    if (brought.problem) problems.push(brought.problem);
    if (brought.done) done++;
  };
  const take = async (path: string, blob: Blob) => {
    if (stopped) return;
    if (path === "archive.json") {
      const value = parsed(await blob.text());
      const problem = headProblem(value);
      if (problem) {
        problems.push(problem === "later" ? WORDS.laterArchive : WORDS.notAnArchive);
        stopped = true;
      } else head = value as ArchiveHead;
      return;
    }
    if (!head) {
      problems.push(WORDS.notAnArchive);
      stopped = true;
      return;
    }
    if (path.endsWith("/index.json")) {
      index = readIndex(parsed(await blob.text()));
      files = new Map();
    } else files.set(path, blob);
    await finish();
  };

  let broken = false;
  try {
    for await (const { path, blob } of zipEntries(file, isArchivePath)) {
      await take(path, blob);
      if (stopped) break;
    }
  } catch {
    broken = true;
  }
  const whole = head as ArchiveHead | null;
  if (!whole && problems.length === 0) problems.push(WORDS.notAnArchive);
  else if (whole && !stopped && (broken || seen < whole.timelines))
    problems.push(WORDS.brokenOff(done, whole.timelines));
  return { done, problems };
}

interface Brought {
  done: boolean;
  problem: string | null;
}
const not = (problem: string): Brought => ({ done: false, problem });

/** The changes of an archive, where its history is one. */
function readHistory(value: unknown): ArchivedChange[] | null {
  const list = Array.isArray(value) ? (value as Partial<ArchivedChange>[]) : [];
  const fine = list.every(
    (c) => typeof c?.at === "string" && typeof c.author === "string" && Array.isArray(c.ops) && c.ops.every(isStep),
  );
  return list.length > 0 && fine ? (list as ArchivedChange[]) : null;
}
const isStep = (op: unknown) => typeof (op as { kind?: unknown } | null)?.kind === "string";

/** Makes a timeline of one that is whole; a sentence where that could not be, and then nothing of it is left. */
async function bringOne(index: ArchiveIndex, files: ReadonlyMap<string, Blob>): Promise<Brought> {
  const title = index.title || WORDS.untitled;
  for (const f of index.files) {
    const blob = files.get(f.path)!;
    if (blob.size !== f.size || (await isOther(blob, f.sha256))) return not(WORDS.altered(title));
  }
  const json = index.files.find((f) => f.path.endsWith("/timeline.json"));
  const read = json ? readJson(await files.get(json.path)!.text()) : { problem: WORDS.notAnArchive };
  if ("problem" in read) return not(WORDS.notBrought(title, read.problem));
  const made = await askServer<{ id: string }>("POST", "/api/timelines", { title: "", subject: "" });
  if (!made.ok) return not(WORDS.notBrought(title, made.sentence));
  const { id } = made.value;
  const undo = async (why: string) => {
    await askServer("PATCH", `/api/timelines/${id}`, { deleted: true });
    return not(WORDS.notBrought(title, why));
  };
  const media = new Map<string, string>();
  for (const f of index.files) {
    const old = /\/media\/([^/]+)$/.exec(f.path)?.[1];
    if (!old) continue;
    const sent = await sendFile(
      id,
      new File([files.get(f.path)!], f.name || old),
      { id: null },
      { progress: () => {}, room: () => {} },
      new AbortController().signal,
    );
    if (sent.kind !== "done") return undo("sentence" in sent && sent.sentence ? sent.sentence : WORDS.noAnswer);
    media.set(old, sent.media.id);
  }
  const mediaFor = (m: string) => media.get(m) ?? null;
  // Every change that was ever made, made once more; where that cannot be, the timeline as it stood.
  const past = index.files.find((f) => f.path.endsWith("/history.json"));
  const changes = past ? readHistory(parsed(await files.get(past.path)!.text())) : null;
  let why = "";
  if (changes) {
    const list = historyThere(changes, mediaFor);
    const back = await askServer("POST", `/api/timelines/${id}/history`, { changes: list }, HISTORY_MS);
    if (back.ok) return { done: true, problem: null };
    why = back.sentence;
  }
  const ops = copyTimeline(timelineOfFile(read.frozen, WRITER), read.frozen.title, mediaFor);
  const sent = await askServer("POST", `/api/timelines/${id}/changes`, { id: nanoid(), base: 0, ops });
  if (!sent.ok) return undo(sent.sentence);
  return { done: true, problem: why ? WORDS.withoutHistory(title, why) : null };
}

/** Whether bytes have another SHA-256 than is said. Where a page is not served securely browsers do not tell. */
async function isOther(blob: Blob, sha256: string): Promise<boolean> {
  if (!globalThis.crypto?.subtle) return false;
  const digest = new Uint8Array(await crypto.subtle.digest("SHA-256", await blob.arrayBuffer()));
  return [...digest].map((b) => b.toString(16).padStart(2, "0")).join("") !== sha256;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
