import { db } from "@/server/db/pool";
import { openRoute } from "@/server/http/route";

export const dynamic = "force-dynamic";

export const GET = openRoute({}, async () => {
  await db()`select 1`;
  return { well: true };
});
