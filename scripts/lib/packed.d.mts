import type { IncomingMessage, ServerResponse } from "node:http";

export interface PackedFile {
  type: string;
  bytes: Buffer[];
}
export function packFiles(folder: string): Promise<void>;
export function readPacked(folder: string): Map<string, PackedFile>;
export function givePacked(
  packed: ReadonlyMap<string, PackedFile>,
  request: IncomingMessage,
  response: ServerResponse,
): boolean;
