import * as en from "./en/catalogue";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("catalogue", en);
