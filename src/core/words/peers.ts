import * as en from "./en/peers";
import { spoken } from "../language/spoken";

export const { WORDS, WORKS_SHOWN, agreementText } = spoken("peers", en);
