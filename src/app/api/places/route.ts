import { openRoute } from "@/server/http/route";
import { geocoder } from "@/server/places/geocoder";

/** The places a written name may mean; asked without an account too, where one tries the editor. */
export const GET = openRoute({}, async ({ request }) => ({
  places: await geocoder().search(new URL(request.url).searchParams.get("words") ?? ""),
}));
