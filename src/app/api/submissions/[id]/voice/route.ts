import { object } from "@/core/text/schema";
import { dropVoice, keepVoice, MOST_VOICE, voiceFile } from "@/server/classes/mark-voice";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

/** In base64. */
const MOST_DATA = Math.ceil(MOST_VOICE / 3) * 4;
const readVoice = shape<{ data: string; seconds: number; spoken: string }>(
  object({
    data: { type: "string", maxLength: MOST_DATA, pattern: "^[A-Za-z0-9+/]*={0,2}$" },
    seconds: { type: "number", minimum: 0, maximum: 3_600 },
    spoken: { type: "string", maxLength: 4_000 },
  }),
);

export const PUT = memberRoute({ body: readVoice, mostBody: MOST_DATA + 20_000 }, async ({ user, params, body }) =>
  keepVoice(params.id!, user.id, Buffer.from(body.data, "base64"), body),
);

export const DELETE = memberRoute({}, async ({ user, params }) => dropVoice(params.id!, user.id));

export const GET = memberRoute({}, async ({ user, params }) => {
  const found = await voiceFile(params.id!, user.id);
  if (!found) return fail("not_found");
  return new Response(new Uint8Array(found.bytes), {
    headers: {
      "Content-Type": found.type,
      "Cache-Control": "private, no-cache",
      "X-Content-Type-Options": "nosniff",
      "Content-Security-Policy": "default-src 'none'",
    },
  });
});
