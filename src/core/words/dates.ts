import * as en from "./en/dates";
import { spoken } from "../language/spoken";

export const { dateProblemText } = spoken("dates", en);
