import * as en from "./en/presenting";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("presenting", en);
