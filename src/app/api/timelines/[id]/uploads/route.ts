import type { ValidateFunction } from "ajv";
import { ajv, memberRoute } from "@/server/http/route";
import { beginUpload } from "@/server/media/uploads";

const readUpload = ajv.compile({
  type: "object",
  properties: { name: { type: "string", maxLength: 1000 }, size: { type: "integer", minimum: 0 } },
  required: ["name", "size"],
  additionalProperties: false,
}) as ValidateFunction<{ name: string; size: number }>;

export const POST = memberRoute({ body: readUpload }, async ({ user, params, body }) => {
  const begun = await beginUpload(params.id!, user.id, body.name, body.size);
  return "failed" in begun ? begun : { ...begun };
});
