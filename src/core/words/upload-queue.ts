import * as en from "./en/upload-queue";
import { spoken } from "../language/spoken";

export const { WORDS } = spoken("upload-queue", en);
