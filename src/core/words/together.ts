import * as en from "./en/together";
import { spoken } from "../language/spoken";

export const { WORDS, COMMENTS } = spoken("together", en);
