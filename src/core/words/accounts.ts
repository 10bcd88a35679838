import * as en from "./en/accounts";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("accounts", en);
