import * as en from "./en/reports";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("reports", en);
