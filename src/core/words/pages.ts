import * as en from "./en/pages";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("pages", en);
