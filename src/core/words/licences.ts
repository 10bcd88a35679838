import { spoken } from "../language/spoken";
import * as en from "./en/licences";

export const { ASKS, NAMES } = spoken("licences", en);
