import * as en from "./en/practice";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("practice", en);
