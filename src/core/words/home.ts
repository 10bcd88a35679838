import * as en from "./en/home";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("home", en);
