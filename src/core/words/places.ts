import * as en from "./en/places";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("places", en);
