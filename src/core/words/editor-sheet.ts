import * as en from "./en/editor-sheet";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-sheet", en);
