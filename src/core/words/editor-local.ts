import * as en from "./en/editor-local";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-local", en);
