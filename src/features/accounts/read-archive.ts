import { nanoid } from "nanoid";
import { timelineOfFile } from "@/core/bring-in/whole-timeline";
import { copyTimeline } from "@/core/change/copy-events";
import { type ArchivedChange, historyThere } from "@/core/change/history-there";
import { type ArchiveHead, type ArchiveIndex, headProblem, isArchivePath, readIndex } from "@/core/formats/archive";
import { type ArchivedClass, CLASS_FORMAT, type RestoredWork } from "@/core/formats/class-archive";
import { readJson } from "@/core/formats/read-json";
import { WORDS } from "@/core/words/accounts";
import { askServer } from "@/ui/ask-server";
import { sendFile } from "@/ui/upload";
import { zipEntries } from "@/ui/zip-entries";

const WRITER = 1;
/** A long history takes its time. */
const HISTORY_MS = 300_000;

export interface BroughtBack {
  done: number;
  /** Names of the classes that came back. */
  classes: { id: string; name: string }[];
  problems: string[];
}

/**
 * Reads an archive bit by bit and makes a timeline of each that is whole: all its files came, and are what its index says. A class comes
 * after its works, of which timelines are made that belong to its groups then; where the class is not brought in, neither are they.
 * Whatever else is in the file is passed over. Says what could not be brought in, and why.
 */
export async function bringBack(
  file: File,
  tell: (title: string, n: number, of: number) => void,
): Promise<BroughtBack> {
  const problems: string[] = [];
  const classes: BroughtBack["classes"] = [];
  const own: [was: string, is: string][] = [];
  const works = new Works();
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
    const came = files;
    files = new Map();
    if (now.role === "work") return works.take(now, came, tell);
    seen++;
    tell(now.title, seen, parts(head) || seen);
    if (now.role === "class") {
      const brought = await works.finish(now, came, own);
      if ("problem" in brought) problems.push(brought.problem);
      else classes.push(brought);
      return;
    }
    const brought = await bringOne(now, came);
    if (brought.problem) problems.push(brought.problem);
    if (!brought.made) return;
    own.push([now.id, brought.made.timeline]);
    done++;
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
  await works.undo();
  const whole = head as ArchiveHead | null;
  if (!whole && problems.length === 0) problems.push(WORDS.notAnArchive);
  else if (whole && !stopped && (broken || seen < parts(whole)))
    problems.push(
      whole.classes
        ? WORDS.brokenOffClasses(done, whole.timelines, classes.length, whole.classes)
        : WORDS.brokenOff(done, whole.timelines),
    );
  return { done, classes, problems };
}

const parts = (head: ArchiveHead | null) => (head ? head.timelines + (head.classes ?? 0) : 0);

/** The works of a class whose own part has not come yet. */
class Works {
  private made: RestoredWork[] = [];
  private problem: string | null = null;

  async take(index: ArchiveIndex, files: ReadonlyMap<string, Blob>, tell: (t: string, n: number, of: number) => void) {
    if (this.problem) return;
    tell(index.title, this.made.length + 1, this.made.length + 1);
    const brought = await bringOne(index, files);
    if (brought.made) this.made.push({ work: index.id, ...brought.made });
    else this.problem = brought.problem;
  }

  /** Makes the class of its works; a sentence where it cannot be, and then nothing of it is left. */
  async finish(
    index: ArchiveIndex,
    files: ReadonlyMap<string, Blob>,
    own: readonly [was: string, is: string][],
  ): Promise<{ id: string; name: string } | { problem: string }> {
    const works = this.made;
    const blob = index.files.map((f) => files.get(f.path)!).at(0);
    let problem = this.problem;
    if (!problem && (await isAltered(index, files))) problem = WORDS.altered(index.title);
    const archived = blob && !problem ? parsed(await blob.text()) : null;
    if (!problem && (archived as Partial<ArchivedClass> | null)?.format !== CLASS_FORMAT)
      problem = WORDS.notBrought(index.title, WORDS.laterArchive);
    if (!problem) {
      const made = await askServer<{ id: string }>(
        "POST",
        "/api/classes/from-archive",
        { class: archived, works, own },
        HISTORY_MS,
      );
      if (made.ok) {
        this.made = [];
        return { id: made.value.id, name: index.title };
      }
      problem = WORDS.notBrought(index.title, made.sentence);
    }
    await this.undo();
    return { problem };
  }

  /** Takes away what was made of works whose class did not come. */
  async undo(): Promise<void> {
    for (const { timeline } of this.made) await takeAway(timeline);
    this.made = [];
    this.problem = null;
  }
}

const takeAway = (timeline: string) => askServer("PATCH", `/api/timelines/${timeline}`, { deleted: true });

/** Whether a file is not what the index says. */
async function isAltered(index: ArchiveIndex, files: ReadonlyMap<string, Blob>): Promise<boolean> {
  for (const f of index.files) {
    const blob = files.get(f.path)!;
    if (blob.size !== f.size || (await isOther(blob, f.sha256))) return true;
  }
  return false;
}

interface Brought {
  made: { timeline: string; media: [was: string, is: string][] } | null;
  problem: string | null;
}
const not = (problem: string): Brought => ({ made: null, problem });

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
  if (await isAltered(index, files)) return not(WORDS.altered(title));
  const json = index.files.find((f) => f.path.endsWith("/timeline.json"));
  const read = json ? readJson(await files.get(json.path)!.text()) : { problem: WORDS.notAnArchive };
  if ("problem" in read) return not(WORDS.notBrought(title, read.problem));
  const made = await askServer<{ id: string }>("POST", "/api/timelines", { title: "", subject: "" });
  if (!made.ok) return not(WORDS.notBrought(title, made.sentence));
  const { id } = made.value;
  const undo = async (why: string) => {
    await takeAway(id);
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
    if (back.ok) return { made: { timeline: id, media: [...media] }, problem: null };
    why = back.sentence;
  }
  const ops = copyTimeline(timelineOfFile(read.frozen, WRITER), read.frozen.title, mediaFor);
  const sent = await askServer("POST", `/api/timelines/${id}/changes`, { id: nanoid(), base: 0, ops });
  if (!sent.ok) return undo(sent.sentence);
  return { made: { timeline: id, media: [...media] }, problem: why ? WORDS.withoutHistory(title, why) : null };
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
