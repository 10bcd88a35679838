import * as en from "./en/editor-history";
import { spoken } from "../language/spoken";

export const { DEED_WORDS, WORDS } = spoken("editor-history", en);
