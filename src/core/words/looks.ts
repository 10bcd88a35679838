import * as en from "./en/looks";
import { spoken } from "../language/spoken";

export const { WORDS, heldText, lookAlikeText } = spoken("looks", en);
