import * as en from "./en/class-work";
import { spoken } from "../language/spoken";

export const { requirementText, REQUIREMENT_NAMES, requirementName, SORT_NAMES, GIVEN_WORDS } = spoken(
  "class-work",
  en,
);
