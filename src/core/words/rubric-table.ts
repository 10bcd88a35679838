import * as en from "./en/rubric-table";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("rubric-table", en);
