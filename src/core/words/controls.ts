import * as en from "./en/controls";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("controls", en);
