import * as en from "./en/schools";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("schools", en);
