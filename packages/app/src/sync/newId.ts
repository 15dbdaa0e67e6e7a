import { v4 } from "uuid";

/** A new id for a record or a command. The browser's own is missing where the page does not come over https. */
export const newId = (): string => v4();
