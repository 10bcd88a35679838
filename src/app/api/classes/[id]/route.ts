import { alterClass, type ClassChange } from "@/server/classes/class";
import { setSchool } from "@/server/classes/school";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readAlter = shape<ClassChange & { school?: string | null }>({
  type: "object",
  properties: {
    code: { enum: ["renew", "close"] },
    publishLimit: { enum: ["only_me", "class", "school", "link", "everybody"] },
    retentionMonths: { type: "integer", minimum: 1, maximum: 120 },
    zone: { type: "string", maxLength: 60 },
    outsidePlayers: { type: "boolean" },
    recording: { type: "boolean" },
    bylines: { enum: ["free", "no_names"] },
    notice: { type: "string", maxLength: 5_000 },
    school: { anyOf: [{ type: "null" }, { type: "string", maxLength: 40 }] },
  },
  additionalProperties: false,
});

export const PATCH = memberRoute({ body: readAlter }, async ({ user, params, body: { school, ...body } }) => {
  if (school !== undefined) return setSchool(params.id!, user.id, school);
  const done = await alterClass(params.id!, user.id, body);
  return "failed" in done ? done : { done: true };
});
