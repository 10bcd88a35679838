import * as en from "./en/instructions";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("instructions", en);
