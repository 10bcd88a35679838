import * as en from "./en/platform";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("platform", en);
