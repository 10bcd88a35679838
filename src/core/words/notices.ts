import * as en from "./en/notices";
import { spoken } from "../language/spoken";

export const { WORDS, DIFFERENT, INCOMPLETE, DETAILS } = spoken("notices", en);
