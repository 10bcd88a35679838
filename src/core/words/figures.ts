import * as en from "./en/figures";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("figures", en);
