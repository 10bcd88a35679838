import * as en from "./en/teaching";
import { spoken } from "../language/spoken";

export const { WORDS, standingText } = spoken("teaching", en);
