import * as en from "./en/classes";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("classes", en);
