import * as en from "./en/editor-find";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-find", en);
