import * as en from "./en/command";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("command", en);
