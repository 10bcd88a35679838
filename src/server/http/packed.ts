import "server-only";

/** JSON that was packed with gzip in a thread, as an answer the editor unpacks. */
export function packedResponse(packed: Uint8Array): Response {
  return new Response(packed as Uint8Array<ArrayBuffer>, {
    headers: {
      "Content-Type": "application/gzip",
      "Cache-Control": "no-store",
      "X-Content-Type-Options": "nosniff",
    },
  });
}
