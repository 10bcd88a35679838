import { isLanguage, LANGUAGES, type Language } from "@/core/language/spoken";
import { findUser, languageCookie } from "@/server/accounts/sessions";
import { chooseLanguage } from "@/server/language/of-account";
import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readChoice = shape<{ language: string }>({
  type: "object",
  properties: { language: { type: "string", maxLength: 20 } },
  required: ["language"],
  additionalProperties: false,
});

/** The language somebody wants to be spoken to in: kept in the browser, and with the account of whoever is signed in. */
export const PUT = openRoute({ body: readChoice }, async ({ request, body }) => {
  if (!isLanguage(body.language)) return fail("language_unknown");
  const language: Language = body.language;
  const user = await findUser(request);
  if (user && Object.hasOwn(LANGUAGES, language)) await chooseLanguage(user.id, language);
  return Response.json(
    { language },
    { headers: { "Cache-Control": "no-store", "Set-Cookie": languageCookie(language) } },
  );
});
