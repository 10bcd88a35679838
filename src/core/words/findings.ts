import * as en from "./en/findings";
import { spoken } from "../language/spoken";

export const { problemText } = spoken("findings", en);
