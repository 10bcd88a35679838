import * as en from "./en/guide";
import { spoken } from "../language/spoken";

export type { GuideTask } from "./en/guide";
export const { GUIDE, WORDS } = spoken("guide", en);
