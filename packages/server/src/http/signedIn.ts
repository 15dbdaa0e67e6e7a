import type { UserRow } from "../companies/entity";
import type { SessionRow } from "../sessions/entity";

/** Who calls, where somebody is signed in. */
export type SignedIn = {
  readonly user: UserRow;
  readonly session: SessionRow;
  /** The company asks for a second factor, and the person has none yet: until then there is nothing but setting it up. */
  readonly needsSecondFactor: boolean;
};
