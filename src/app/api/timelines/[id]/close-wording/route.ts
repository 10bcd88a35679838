import { lookForWording, ownPassages } from "@/server/classes/close-wording";
import { memberRoute } from "@/server/http/route";

/** Passages of one's own work whose wording is close to other texts; not whose, nor what. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const found = await ownPassages(params.id!, user.id);
  return "failed" in found ? found : { at: found.at, waiting: found.waiting, passages: found.passages };
});

/** Has it looked for anew. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const asked = await lookForWording(params.id!, user.id);
  return "failed" in asked ? asked : { asked: true };
});
