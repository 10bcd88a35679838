import * as en from "./en/marking";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("marking", en);
