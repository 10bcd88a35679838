import type { IncomingMessage, ServerResponse } from "node:http";

/** `bytes`: packed in each way; `whole`: a file that is given as it is. */
export type PackedFile = { type: string; bytes: Buffer[] } | { type: string; whole: Buffer };
export function packFiles(folder: string): Promise<void>;
export function readPacked(folder: string, at?: string, build?: string): Map<string, PackedFile>;
export function readFonts(folder: string): Map<string, PackedFile>;
export function givePacked(
  packed: ReadonlyMap<string, PackedFile>,
  request: IncomingMessage,
  response: ServerResponse,
): boolean;
