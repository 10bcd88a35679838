import * as en from "./en/look-over";
import { spoken } from "../language/spoken";

export const { WORDS, findingText } = spoken("look-over", en);
