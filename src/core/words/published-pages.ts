import * as en from "./en/published-pages";
import { spoken } from "../language/spoken";

export const { WORDS, LETTERS } = spoken("published-pages", en);
