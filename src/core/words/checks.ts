import { spoken } from "../language/spoken";
import * as en from "./en/checks";

export const { WORDS } = spoken("checks", en);
