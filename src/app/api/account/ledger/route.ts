import type { ValidateFunction } from "ajv";
import { COLUMNS_SCHEMA, type LedgerColumns } from "@/core/ledger/columns";
import { setLedgerColumns } from "@/server/accounts/account";
import { ajv, memberRoute } from "@/server/http/route";

const readColumns = ajv.compile(COLUMNS_SCHEMA) as ValidateFunction<LedgerColumns>;

/** How a person likes the ledger. */
export const PUT = memberRoute({ body: readColumns }, async ({ user, body }) => {
  await setLedgerColumns(user.id, body);
  return { kept: true };
});
