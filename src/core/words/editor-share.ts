import * as en from "./en/editor-share";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-share", en);
