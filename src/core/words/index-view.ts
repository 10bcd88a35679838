import * as en from "./en/index-view";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("index-view", en);
