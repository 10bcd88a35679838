import * as en from "./en/suggestions";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("suggestions", en);
