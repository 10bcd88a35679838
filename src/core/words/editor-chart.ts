import * as en from "./en/editor-chart";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("editor-chart", en);
