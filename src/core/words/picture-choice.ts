import * as en from "./en/picture-choice";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("picture-choice", en);
