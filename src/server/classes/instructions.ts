import "server-only";
import { INCOMPLETE } from "@/core/words/notices";
import {
  type GivenPicture,
  type InstructionPicture,
  MOST_INSTRUCTION_PICTURES,
  MOST_LETTERS,
} from "@/core/classes/instructions";
import { type Block, mediaInText, plainTextOf } from "@/core/text/description";
import { paragraphsOf } from "@/core/text/formatted";
import { blocksIn } from "@/core/text/write-description";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure } from "../http/failure";
import { encodePicture } from "../media/pictures";

/** Pictures that are to stand in a text: those that are new with their bytes. */
interface ReadPictures {
  kept: { id: string; text: string }[];
  fresh: (InstructionPicture & { bytes: Buffer })[];
}

export interface ReadInstructions {
  blocks: Block[];
  pictures: ReadPictures;
}

/** Instructions as they may be stored: plain words or blocks, and the pictures that stand in them, encoded anew. */
export async function readInstructions(
  given: string | readonly Block[],
  pictures: readonly GivenPicture[],
): Promise<Failure | ReadInstructions> {
  const blocks = typeof given === "string" ? paragraphsOf(given.slice(0, MOST_LETTERS)) : blocksIn(given);
  if (plainTextOf(blocks).length > MOST_LETTERS)
    return fail("assignment_incomplete", INCOMPLETE.longInstructions(MOST_LETTERS));
  const used = new Set(mediaInText(blocks));
  const standing = pictures.filter((p) => used.has(p.id));
  if (standing.length > MOST_INSTRUCTION_PICTURES)
    return fail("assignment_incomplete", INCOMPLETE.pictures(MOST_INSTRUCTION_PICTURES));
  const read: ReadPictures = { kept: [], fresh: [] };
  for (const p of standing) {
    const text = p.text.trim().slice(0, 300);
    if (p.data === undefined) {
      read.kept.push({ id: p.id, text });
      continue;
    }
    const made = await encodePicture(Buffer.from(p.data, "base64"));
    if (isFailure(made)) return fail("assignment_incomplete", INCOMPLETE.picture);
    const { bytes, width, height } = made.files.find((f) => f.size === "medium")!;
    read.fresh.push({ id: p.id, text, width, height, bytes });
  }
  return { blocks, pictures: read };
}

/** Stores the pictures of an assignment: what is neither kept nor new is gone. */
export async function writePictures(tx: Tx, assignment: string, { kept, fresh }: ReadPictures): Promise<void> {
  await tx`
    delete from assignment_picture where assignment_id = ${assignment} and not (id = any(${kept.map((p) => p.id)}))`;
  for (const p of kept)
    await tx`update assignment_picture set text = ${p.text} where assignment_id = ${assignment} and id = ${p.id}`;
  for (const p of fresh)
    await tx`
      insert into assignment_picture (assignment_id, id, text, bytes, width, height)
      values (${assignment}, ${p.id}, ${p.text}, ${p.bytes}, ${p.width}, ${p.height})`;
}

/** The pictures of an assignment go with it when it is set again. */
export async function copyPictures(tx: Tx, from: string, to: string): Promise<void> {
  await tx`
    insert into assignment_picture (assignment_id, id, text, bytes, width, height)
    select ${to}, id, text, bytes, width, height from assignment_picture where assignment_id = ${from}`;
}

/** The pictures of the assignment `a` of the query around it, as JSON. */
export const PICTURES = `coalesce((select jsonb_agg(jsonb_build_object('id', p.id, 'text', p.text, 'width', p.width, 'height', p.height)
  order by p.id) from assignment_picture p where p.assignment_id = a.id), '[]')`;

/** The file of a picture, WebP, for somebody of the class; null where there is none for them. */
export async function assignmentPicture(
  assignment: string,
  picture: string,
  account: string,
  sql: Sql = db(),
): Promise<Buffer | null> {
  const [row] = await sql<{ bytes: Buffer }[]>`
    select p.bytes from assignment_picture p join assignment a on a.id = p.assignment_id
    where p.assignment_id = ${assignment} and p.id = ${picture} and (watches(a.class_id, ${account})
      or exists (select from class_member m where m.class_id = a.class_id and m.account_id = ${account}))`;
  return row?.bytes ?? null;
}
