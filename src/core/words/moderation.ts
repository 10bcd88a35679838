import * as en from "./en/moderation";
import { spoken } from "../language/spoken";

export const { WORDS, differenceText } = spoken("moderation", en);
