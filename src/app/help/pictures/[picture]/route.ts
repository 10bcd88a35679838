import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { GUIDE } from "@/core/words/guide";
import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";

export const dynamic = "force-dynamic";

/** A picture of the guide: one of those that were made from the demo data, and no other file. */
export const GET = openRoute({}, async ({ params }) => {
  const task = GUIDE.find((t) => t.picture?.file === params.picture);
  if (!task?.picture) return fail("not_found");
  const folder = join(process.env.FASTIGO_ROOT ?? process.cwd(), "docs", "screenshots");
  const bytes = await readFile(join(folder, `${task.picture.file}.png`)).catch(() => null);
  if (!bytes) return fail("not_found");
  return new Response(new Uint8Array(bytes), {
    headers: {
      "Content-Type": "image/png",
      "Cache-Control": "public, max-age=3600",
      "X-Content-Type-Options": "nosniff",
    },
  });
});
