import * as en from "./en/sheets";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("sheets", en);
