import { COLUMNS_SCHEMA, type LedgerColumns } from "@/core/ledger/columns";
import { setLedgerColumns } from "@/server/accounts/account";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readColumns = shape<LedgerColumns>(COLUMNS_SCHEMA);

/** How a person likes the ledger. */
export const PUT = memberRoute({ body: readColumns }, async ({ user, body }) => {
  await setLedgerColumns(user.id, body);
  return { kept: true };
});
