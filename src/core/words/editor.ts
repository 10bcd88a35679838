import * as en from "./en/editor";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor", en);
