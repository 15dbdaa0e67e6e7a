/** The token of a link in a letter: behind the #, which is sent to nobody. Empty where the link was cut off. */
export const linkToken = (): string => (typeof window === "undefined" ? "" : window.location.hash.replace(/^#/, ""));
