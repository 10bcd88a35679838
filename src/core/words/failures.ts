import * as en from "./en/failures";
import { spoken } from "../language/spoken";

export type { FailureCode } from "./en/failures";
export const { FAILURES } = spoken("failures", en);
