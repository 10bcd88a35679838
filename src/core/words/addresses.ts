import * as en from "./en/addresses";
import { spoken } from "../language/spoken";

export const { addressText } = spoken("addresses", en);
