import { spoken } from "../language/spoken";
import * as en from "./en/steps";

export const { FIELD, VALUE, WORDS } = spoken("steps", en);
