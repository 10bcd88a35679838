import { joinSchool } from "@/server/classes/school";
import { memberRoute } from "@/server/http/route";

export const POST = memberRoute({}, async ({ user, params }) => joinSchool(params.token!, user.id));
