import * as en from "./en/limits";
import { spoken } from "../language/spoken";

export const { LIMIT_SENTENCES, tooLongText } = spoken("limits", en);
