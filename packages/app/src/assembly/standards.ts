import useSWR from "swr";
import { standardListSchema } from "../api/records";
import { askKept } from "../device/kept";

const STANDARDS = "/standards";

export const useStandards = () => useSWR(STANDARDS, () => askKept(standardListSchema, STANDARDS, STANDARDS));
