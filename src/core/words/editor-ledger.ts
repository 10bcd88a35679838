import * as en from "./en/editor-ledger";
import { spoken } from "../language/spoken";

export const { WORDS, LINE_GRAMMAR, COLUMN_NAMES } = spoken("editor-ledger", en);
