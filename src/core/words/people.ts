import * as en from "./en/people";
import { spoken } from "../language/spoken";

export const { WORDS, leftText } = spoken("people", en);
