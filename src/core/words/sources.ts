import * as en from "./en/sources";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("sources", en);
