import * as en from "./en/late";
import { spoken } from "../language/spoken";

export const { lateText } = spoken("late", en);
