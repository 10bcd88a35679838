import { WORDS } from "@/core/words/sheets";
import { receiptOf } from "@/server/classes/paper";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { pdfResponse } from "../../../pdf-response";

/** What says that this was handed in, as a PDF: for its group and for those who teach it. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const receipt = await receiptOf(params.id!, user.id);
  if (!receipt) return fail("not_found");
  return pdfResponse(`${WORDS.receipt} ${receipt.title}`, [receipt.lines], user.id);
});
