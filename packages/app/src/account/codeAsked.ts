import { ApiProblem } from "../api/client";

/** Whether the server asks for a code of the second factor: the password was right. */
export const asksForCode = (error: unknown): boolean =>
  error instanceof ApiProblem && error.problems.some(({ code }) => code === "second-factor");
