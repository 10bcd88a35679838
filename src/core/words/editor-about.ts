import * as en from "./en/editor-about";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-about", en);
