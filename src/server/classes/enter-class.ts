// How somebody comes into a class from elsewhere: from the groups of a school's own accounts, or from a course of a learning platform.
import "server-only";
import { nanoid } from "nanoid";
import type { Tx } from "../db/pool";
import { newJoinCode } from "./class";

/** Makes the class that is opened from elsewhere by coming to it, led by whoever came; its id. */
export async function openClass(tx: Tx, name: string, school: string | null, teacher: string): Promise<string> {
  const id = nanoid(12);
  await tx`insert into class (id, name, join_code, organisation_id) values (${id}, ${name}, ${newJoinCode()}, ${school})`;
  await tx`insert into class_teacher (class_id, account_id, role) values (${id}, ${teacher}, 'lead')`;
  return id;
}

/** Lets somebody into a class, as a teacher or as a student; who is in it stays what they are, and who teaches it is no student. */
export async function enterClass(tx: Tx, klass: string, account: string, teaches: boolean): Promise<void> {
  if (teaches)
    await tx`
      insert into class_teacher (class_id, account_id, role) values (${klass}, ${account}, 'teacher') on conflict do nothing`;
  else
    await tx`
      insert into class_member (class_id, account_id) select ${klass}, ${account}
      where not watches(${klass}, ${account}) on conflict do nothing`;
}

/** Keeps others from bringing people into a class at the same time. */
export async function lockClass(tx: Tx, klass: string): Promise<void> {
  await tx`select from class where id = ${klass} for update`;
}

/** Makes a student of somebody, with what their teacher reads beside the name; false: they were in the class. */
export async function addStudent(tx: Tx, klass: string, account: string, note: string): Promise<boolean> {
  const made = await tx`
    insert into class_member (class_id, account_id, note) values (${klass}, ${account}, ${note})
    on conflict do nothing returning account_id`;
  return made.length > 0;
}
