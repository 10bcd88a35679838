import * as en from "./en/reader";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("reader", en);
