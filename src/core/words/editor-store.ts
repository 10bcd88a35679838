import * as en from "./en/editor-store";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-store", en);
