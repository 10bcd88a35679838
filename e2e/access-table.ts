/** What a request is answered: done, "sign in first", as if there were nothing, or refused to those who may look but not do. */
export type Answer = "yes" | "sign in" | "nothing" | "not yours";
type Row = [nobody: Answer, stranger: Answer, editor: Answer, owner: Answer];

export const EVERYBODY: Row = ["yes", "yes", "yes", "yes"];
export const SIGNED_IN: Row = ["sign in", "yes", "yes", "yes"];
export const EDITORS: Row = ["sign in", "nothing", "yes", "yes"];
const OWNER: Row = ["sign in", "not yours", "not yours", "yes"];
const OWNER_HIDDEN: Row = ["sign in", "nothing", "not yours", "yes"];

/**
 * Who may ask what, for every route and page of src/app. A route that is missing here, or stands here and is gone, fails
 * a test; another test asks each as nobody, a stranger, an editor and the owner.
 */
export const ACCESS: Record<string, Row> = {
  "PAGE /": EVERYBODY,
  "PAGE /published": EVERYBODY,
  "PAGE /sign-in": EVERYBODY,
  "PAGE /sign-up": EVERYBODY,
  "PAGE /new": SIGNED_IN,
  "PAGE /join/[token]": SIGNED_IN,
  "PAGE /timelines/[id]": EDITORS,
  "GET /timelines/[id]/reader": EDITORS,
  "GET /t/[address]": EVERYBODY,
  "GET /t/[address]/media/[media]/[size]": EVERYBODY,
  "GET /api/health": EVERYBODY,
  "POST /api/account": EVERYBODY,
  "POST /api/session": EVERYBODY,
  "DELETE /api/session": EVERYBODY,
  "GET /api/live": SIGNED_IN,
  "POST /api/timelines": SIGNED_IN,
  "GET /api/timelines/[id]": EDITORS,
  "PATCH /api/timelines/[id]": ["sign in", "nothing", "nothing", "yes"],
  "GET /api/timelines/[id]/changes": EDITORS,
  "POST /api/timelines/[id]/changes": EDITORS,
  "GET /api/timelines/[id]/history": EDITORS,
  "POST /api/timelines/[id]/invitation": OWNER,
  "DELETE /api/timelines/[id]/invitation": OWNER,
  "DELETE /api/timelines/[id]/editors/[account]": ["sign in", "nothing", "nothing", "yes"],
  "PUT /api/timelines/[id]/publication": OWNER_HIDDEN,
  "DELETE /api/timelines/[id]/publication": OWNER_HIDDEN,
  "POST /api/timelines/[id]/uploads": EDITORS,
  "GET /api/timelines/[id]/uploads/[upload]": ["sign in", "nothing", "nothing", "yes"],
  "POST /api/timelines/[id]/uploads/[upload]": ["sign in", "nothing", "nothing", "yes"],
  "PUT /api/timelines/[id]/uploads/[upload]/[piece]": ["sign in", "nothing", "nothing", "yes"],
  "POST /api/timelines/[id]/pictures": EDITORS,
  "GET /api/timelines/[id]/media/[media]/[size]": EDITORS,
  "POST /api/join/[token]": SIGNED_IN,
};
