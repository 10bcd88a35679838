import * as en from "./en/privacy";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("privacy", en);
