import * as en from "./en/stage";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("stage", en);
