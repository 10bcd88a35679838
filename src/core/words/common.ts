import { spoken } from "../language/spoken";
import * as en from "./en/common";

export const { WORDS } = spoken("common", en);
