import * as en from "./en/bring-in";
import { spoken } from "../language/spoken";

export const { WORDS, GEDCOM_FACTS } = spoken("bring-in", en);
