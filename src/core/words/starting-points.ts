import * as en from "./en/starting-points";
import { spoken } from "../language/spoken";

export const { STARTING_POINTS, WORDS } = spoken("starting-points", en);
