import { spoken } from "../language/spoken";
import * as en from "./en/steps";

export const { FIELD, WORDS } = spoken("steps", en);
