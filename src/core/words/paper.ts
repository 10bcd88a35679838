import * as en from "./en/paper";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("paper", en);
