import { openDB } from "idb";

const NAME = "fastigo-handed";
const STORE = "file";
/** What nobody has come for after so long is thrown away, ms. */
const OLD_MS = 10 * 60_000;

interface Handed {
  file: File;
  at: number;
}

const open = () => openDB(NAME, 1, { upgrade: (db) => void db.createObjectStore(STORE) });

/** Keeps a file for the editor of a timeline that is opened next, in this browser alone. */
export async function handFile(timeline: string, file: File): Promise<void> {
  const db = await open();
  for (const key of await db.getAllKeys(STORE)) {
    const known = (await db.get(STORE, key)) as Handed;
    if (Date.now() - known.at > OLD_MS) await db.delete(STORE, key);
  }
  await db.put(STORE, { file, at: Date.now() } satisfies Handed, timeline);
  db.close();
}

/** The file that was kept for a timeline, once; null where there is none. */
export async function takeHandedFile(timeline: string): Promise<File | null> {
  const db = await open();
  const found = (await db.get(STORE, timeline)) as Handed | undefined;
  await db.delete(STORE, timeline);
  db.close();
  return found?.file ?? null;
}
