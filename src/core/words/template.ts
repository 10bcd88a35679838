import * as en from "./en/template";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("template", en);
