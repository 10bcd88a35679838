import { openRoute } from "@/server/http/route";
import { publicKeys } from "@/server/lti/keys";

/** The key Fastigo signs with, for learning platforms. */
export const GET = openRoute({}, async () => ({ ...(await publicKeys()) }));
