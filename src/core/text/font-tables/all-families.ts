// Made by scripts/make-font-tables.mjs. Do not edit.
import type { Family } from "../families";
import type { FamilyTable } from "./family-table";
import { HYPERLEGIBLE } from "./hyperlegible";
import { LITERATA } from "./literata";
import { BITTER } from "./bitter";
import { ALEGREYA } from "./alegreya";
import { JOST } from "./jost";
import { NUNITO } from "./nunito";
import { ARCHIVO } from "./archivo";

/** The widths of all letters of all families. What a reader's page loads has the house's alone (scripts/lib/machine.mjs). */
export const TABLES: Partial<Record<Family, FamilyTable>> = {
  hyperlegible: HYPERLEGIBLE,
  literata: LITERATA,
  bitter: BITTER,
  alegreya: ALEGREYA,
  jost: JOST,
  nunito: NUNITO,
  archivo: ARCHIVO,
};
