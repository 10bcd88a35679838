import * as en from "./en/folder";
import { spoken } from "../language/spoken";

export const { FOLDER, archiveReadme } = spoken("folder", en);
