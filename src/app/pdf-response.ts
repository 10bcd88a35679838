import "server-only";
import { type Failure, fail, isFailure } from "@/server/http/failure";
import type { Line } from "@/core/paper/lines";
import { inThread } from "@/threads/in-thread";
import { fileHeaders } from "./csv-response";

const LIMIT_MS = 30_000;

/** Sheets of text as a PDF, made in a thread. */
export async function pdfResponse(
  title: string,
  sheets: readonly (readonly Line[])[],
  by: string,
): Promise<Response | Failure> {
  const how = { in: "drawings", key: `sheets ${by}`, what: `sheets of ${title}`, limitMs: LIMIT_MS } as const;
  const made = await inThread("textSheets", [title, sheets], how);
  if (isFailure(made)) return made;
  if (!made) return fail("busy");
  return new Response(made as BodyInit, { headers: fileHeaders("application/pdf", title, "pdf") });
}
