import * as en from "./en/take-out";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("take-out", en);
