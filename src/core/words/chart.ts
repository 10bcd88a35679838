import * as en from "./en/chart";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("chart", en);
