import { db } from "@/server/db/pool";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { fetchTable } from "@/server/media/fetch-table";
import { allowedHosts } from "@/server/media/guarded-get";
import { requireRight } from "@/server/timelines/access";

/** A table by its web address: fetched by the server and handed on; the browser reads it and shows what would come in. */
export const POST = memberRoute({ body: stringsOf("address") }, async ({ user, params, body }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const fetched = await fetchTable(body.address, { allowed: allowedHosts() });
  if (isFailure(fetched)) return fetched;
  return { name: fetched.name, content: fetched.bytes.toString("base64") };
});
