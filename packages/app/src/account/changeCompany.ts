import { createContext, useContext } from "react";
import type { Company } from "../api/records";

export type CompanyChange = {
  readonly name?: string;
  readonly address?: string;
  readonly profile?: Partial<Omit<Company["profile"], "mark">>;
};

export const ChangeCompany = createContext<(change: CompanyChange) => void>(() => undefined);

/** Changes what the company is; what could not be is said at the head of the page. */
export const useChangeCompany = () => useContext(ChangeCompany);
