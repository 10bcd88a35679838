import * as en from "./en/calls";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("calls", en);
