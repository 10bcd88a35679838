/** What a request is answered: done, "sign in first", as if there were nothing, or refused to those who may look but not do. */
export type Answer = "yes" | "sign in" | "nothing" | "not yours";
/** Actors: the timeline and its class have an owner and an editor (one group), a classmate of another group, a teacher. */
export const ACTORS = ["nobody", "stranger", "editor", "owner", "classmate", "teacher", "otherTeacher"] as const;
type Row = [
  nobody: Answer,
  stranger: Answer,
  editor: Answer,
  owner: Answer,
  classmate: Answer,
  teacher: Answer,
  otherTeacher: Answer,
];

const EVERYBODY: Row = ["yes", "yes", "yes", "yes", "yes", "yes", "yes"];
const NOWHERE: Row = ["nothing", "nothing", "nothing", "nothing", "nothing", "nothing", "nothing"];
const OPERATOR: Row = ["sign in", "nothing", "nothing", "nothing", "nothing", "nothing", "nothing"];
const SIGNED_IN: Row = ["sign in", "yes", "yes", "yes", "yes", "yes", "yes"];
const EDITORS: Row = ["sign in", "nothing", "yes", "yes", "nothing", "nothing", "nothing"];
const OWNER: Row = ["sign in", "not yours", "not yours", "yes", "not yours", "not yours", "not yours"];
const OWNER_HIDDEN: Row = ["sign in", "nothing", "not yours", "yes", "nothing", "nothing", "nothing"];
const OWNER_ONLY: Row = ["sign in", "nothing", "nothing", "yes", "nothing", "nothing", "nothing"];
const CLASS: Row = ["sign in", "nothing", "yes", "yes", "yes", "yes", "nothing"];
const TEACHER: Row = ["sign in", "nothing", "nothing", "nothing", "nothing", "yes", "nothing"];
const GROUP_AND_TEACHER: Row = ["sign in", "nothing", "yes", "yes", "nothing", "yes", "nothing"];

/**
 * Who may ask what, for every route and page of src/app. A route that is missing here, or stands here and is gone, fails
 * a test; another test asks each as nobody, a stranger, an editor, the owner, a classmate of
 * another group, the teacher and the teacher of another class.
 */
export const ACCESS: Record<string, Row> = {
  "PAGE /": EVERYBODY,
  "PAGE /published": EVERYBODY,
  "PAGE /published/[address]": EVERYBODY,
  "PAGE /published/mine": SIGNED_IN,
  "PAGE /mailbox": SIGNED_IN,
  // Those who keep the site, who are none of these.
  "PAGE /operator": OPERATOR,
  "PUT /api/operator/[timeline]": OPERATOR,
  // It is asked about an address, which is missing here.
  "GET /oembed": NOWHERE,
  // What is published here has no password.
  "POST /api/published/[address]/pass": NOWHERE,
  "POST /api/published/[address]/copy": SIGNED_IN,
  "POST /api/published/[address]/report": EVERYBODY,
  "PAGE /licences": EVERYBODY,
  "PAGE /shelf": EVERYBODY,
  // Whoever is signed in is led home.
  "PAGE /try": EVERYBODY,
  // In development only; here it is nowhere.
  "PAGE /catalogue": NOWHERE,
  "PAGE /sign-in": EVERYBODY,
  "PAGE /sign-up": EVERYBODY,
  "PAGE /sign-in/code": EVERYBODY,
  "PAGE /join-class": EVERYBODY,
  "PAGE /account": SIGNED_IN,
  "PAGE /new": SIGNED_IN,
  "PAGE /new/[point]": SIGNED_IN,
  "POST /api/starting-points/[point]": SIGNED_IN,
  "PAGE /bin": SIGNED_IN,
  "PAGE /classes": SIGNED_IN,
  "PAGE /classes/[id]": CLASS,
  "PAGE /classes/[id]/new-assignment": TEACHER,
  "PAGE /assignments/[id]": CLASS,
  "PAGE /assignments/[id]/edit": TEACHER,
  "PAGE /join/[token]": SIGNED_IN,
  "PAGE /timelines/[id]": EDITORS,
  "PAGE /timelines/[id]/sizes": EDITORS,
  // The teacher of the class it is made for may look at the draft.
  "GET /timelines/[id]/reader": GROUP_AND_TEACHER,
  "GET /t/[address]": EVERYBODY,
  "GET /t/[address]/media/[media]/[size]": EVERYBODY,
  "GET /t/[address]/preview": EVERYBODY,
  "GET /f/[address]": EVERYBODY,
  "GET /f/[address]/file": EVERYBODY,
  "GET /f/[address]/media/[media]/[size]": EVERYBODY,
  "GET /submissions/[id]/reader": GROUP_AND_TEACHER,
  "GET /submissions/[id]/media/[media]/[size]": GROUP_AND_TEACHER,
  "GET /api/health": EVERYBODY,
  "GET /api/pictures": SIGNED_IN,
  "GET /api/places": EVERYBODY,
  "GET /api/pictures/mine": SIGNED_IN,
  "GET /api/pictures/[picture]": EVERYBODY,
  "POST /api/account": EVERYBODY,
  "PATCH /api/account": SIGNED_IN,
  "DELETE /api/account": SIGNED_IN,
  "PUT /api/account/password": SIGNED_IN,
  "DELETE /api/account/sessions": SIGNED_IN,
  "DELETE /api/account/sessions/[session]": SIGNED_IN,
  "DELETE /api/account/notices": SIGNED_IN,
  "GET /api/account/file": SIGNED_IN,
  "POST /api/session": EVERYBODY,
  "DELETE /api/session": EVERYBODY,
  "GET /api/looks": SIGNED_IN,
  "POST /api/looks": SIGNED_IN,
  "DELETE /api/looks/[look]": ["sign in", "nothing", "nothing", "yes", "nothing", "nothing", "nothing"],
  "GET /api/live": SIGNED_IN,
  "PUT /api/account/ledger": SIGNED_IN,
  "GET /api/timelines": SIGNED_IN,
  "POST /api/timelines": SIGNED_IN,
  "GET /api/timelines/[id]": EDITORS,
  "PATCH /api/timelines/[id]": OWNER_ONLY,
  "GET /api/timelines/[id]/changes": EDITORS,
  "POST /api/timelines/[id]/changes": EDITORS,
  "GET /api/timelines/[id]/history": EDITORS,
  "GET /api/timelines/[id]/writers": EDITORS,
  "GET /api/timelines/[id]/bin": EDITORS,
  "PUT /api/timelines/[id]/folder": EDITORS,
  "POST /api/timelines/[id]/duplicate": EDITORS,
  "GET /api/timelines/[id]/sittings": EDITORS,
  "GET /api/timelines/[id]/past/[seq]": EDITORS,
  "POST /api/timelines/[id]/copies": EDITORS,
  "POST /api/timelines/[id]/invitation": OWNER,
  "DELETE /api/timelines/[id]/invitation": OWNER,
  "DELETE /api/timelines/[id]/editors/[account]": OWNER_ONLY,
  "PUT /api/timelines/[id]/publication": OWNER_HIDDEN,
  "DELETE /api/timelines/[id]/publication": OWNER_HIDDEN,
  "PUT /api/timelines/[id]/publication/word": OWNER_HIDDEN,
  "POST /api/timelines/[id]/publication/mail": OWNER_HIDDEN,
  "POST /api/timelines/[id]/uploads": EDITORS,
  "GET /api/timelines/[id]/uploads/[upload]": OWNER_ONLY,
  "POST /api/timelines/[id]/uploads/[upload]": OWNER_ONLY,
  "PUT /api/timelines/[id]/uploads/[upload]/[piece]": OWNER_ONLY,
  "POST /api/timelines/[id]/outside": EDITORS,
  "GET /api/timelines/[id]/notes": EDITORS,
  "POST /api/timelines/[id]/pictures": EDITORS,
  "POST /api/timelines/[id]/table": EDITORS,
  "PUT /api/timelines/[id]/media/[media]/still": EDITORS,
  "POST /api/timelines/[id]/media/[media]/cut": EDITORS,
  "POST /api/timelines/[id]/media": EDITORS,
  // Whoever uploaded it, which here is the owner.
  "DELETE /api/timelines/[id]/media/[media]": OWNER_ONLY,
  "POST /api/timelines/[id]/pictures/found": EDITORS,
  "GET /api/timelines/[id]/addresses": EDITORS,
  "POST /api/timelines/[id]/addresses": EDITORS,
  "DELETE /api/timelines/[id]/addresses": EDITORS,
  "GET /api/timelines/[id]/media/[media]/[size]": GROUP_AND_TEACHER,
  // The table's timeline is a group's work: its link is for classmates.
  "POST /api/join/[token]": ["sign in", "nothing", "yes", "yes", "yes", "nothing", "nothing"],
  "POST /api/session/code": EVERYBODY,
  "POST /api/classes": SIGNED_IN,
  "PATCH /api/classes/[id]": TEACHER,
  "POST /api/classes/[id]/members/[account]/code": TEACHER,
  "PATCH /api/classes/[id]/members/[account]": TEACHER,
  "DELETE /api/classes/[id]/members/[account]": TEACHER,
  "POST /api/classes/[id]/practices": TEACHER,
  "DELETE /api/classes/[id]/practices/[practice]": TEACHER,
  "GET /practice/[practice]": CLASS,
  "POST /api/practices/[practice]/answers": CLASS,
  "POST /api/classes/join": EVERYBODY,
  "POST /api/classes/join-as-me": SIGNED_IN,
  "POST /api/assignments": TEACHER,
  "PUT /api/assignments/[id]": TEACHER,
  "PUT /api/assignments/[id]/group": ["sign in", "nothing", "not yours", "yes", "nothing", "nothing", "nothing"],
  "POST /api/assignments/[id]/group": ["sign in", "nothing", "yes", "yes", "yes", "nothing", "nothing"],
  "POST /api/assignments/[id]/return": TEACHER,
  "GET /api/assignments/[id]/marks": TEACHER,
  "POST /api/timelines/[id]/classmates": ["sign in", "nothing", "yes", "yes", "nothing", "nothing", "nothing"],
  "POST /api/timelines/[id]/submission": ["sign in", "nothing", "yes", "yes", "nothing", "nothing", "nothing"],
  "DELETE /api/timelines/[id]/submission": ["sign in", "nothing", "yes", "yes", "nothing", "nothing", "nothing"],
  "POST /api/timelines/[id]/files": GROUP_AND_TEACHER,
  "POST /api/timelines/[id]/files/plan": GROUP_AND_TEACHER,
  // Files that were made for the owner.
  "GET /api/files/[file]": OWNER_ONLY,
  "DELETE /api/files/[file]": OWNER_ONLY,
  "GET /api/files/[file]/content": OWNER_ONLY,
  "GET /api/timelines/[id]/frozen-copies": EDITORS,
  "POST /api/timelines/[id]/frozen-copies": EDITORS,
  "DELETE /api/timelines/[id]/frozen-copies/[address]": EDITORS,
  "PUT /api/submissions/[id]/mark": TEACHER,
  "POST /api/submissions/[id]/return": TEACHER,
  "PUT /api/submissions/[id]/return": TEACHER,
  "PUT /api/submissions/[id]/given/[n]": TEACHER,
  "DELETE /api/submissions/[id]/given/[n]": TEACHER,
};
