import * as en from "./en/editor-class-work";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-class-work", en);
