import * as en from "./en/recording";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("recording", en);
