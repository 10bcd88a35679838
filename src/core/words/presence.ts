import * as en from "./en/presence";
import { spoken } from "../language/spoken";

export const { WORDS, placeText } = spoken("presence", en);
