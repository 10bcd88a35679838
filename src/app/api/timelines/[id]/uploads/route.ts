import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { beginUpload } from "@/server/media/uploads";

const readUpload = shape<{ name: string; size: number }>({
  type: "object",
  properties: { name: { type: "string", maxLength: 1000 }, size: { type: "integer", minimum: 0 } },
  required: ["name", "size"],
  additionalProperties: false,
});

export const POST = memberRoute({ body: readUpload }, async ({ user, params, body }) => {
  const begun = await beginUpload(params.id!, user.id, body.name, body.size);
  return "failed" in begun ? begun : { ...begun };
});
