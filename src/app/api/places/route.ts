import { readCoordinates } from "@/core/places/coordinates";
import { openRoute } from "@/server/http/route";
import { geocoder } from "@/server/places/geocoder";

/** The places a written name (`words`) may mean, or the one nearest to a point (`near`); asked without an account too, where one tries the editor. */
export const GET = openRoute({}, async ({ request }) => {
  const { searchParams } = new URL(request.url);
  const at = readCoordinates(searchParams.get("near") ?? "");
  if (at && typeof at === "object") {
    const nearest = await geocoder().nearest(at);
    return { places: nearest ? [nearest] : [] };
  }
  return { places: await geocoder().search(searchParams.get("words") ?? "") };
});
