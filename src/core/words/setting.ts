import * as en from "./en/setting";
import { spoken } from "../language/spoken";

export const { rubricProblemText, rubricSumText, WORDS } = spoken("setting", en);
