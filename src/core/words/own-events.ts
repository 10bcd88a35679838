import * as en from "./en/own-events";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("own-events", en);
