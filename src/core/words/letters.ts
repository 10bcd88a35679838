import * as en from "./en/letters";
import { spoken } from "../language/spoken";

export const { letterAbout, invitationLetter, WORDS } = spoken("letters", en);
