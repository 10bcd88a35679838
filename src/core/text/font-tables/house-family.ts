import type { Family } from "../families";
import { HYPERLEGIBLE } from "./hyperlegible";
import type { FamilyTable } from "./family-table";

/** What stands for all families where a reader's page brings along the one it is written in. */
export const TABLES: Partial<Record<Family, FamilyTable>> = { hyperlegible: HYPERLEGIBLE };
