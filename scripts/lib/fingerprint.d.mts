/** A hash over the files of some folders; of their tests too where it is said. */
export function fingerprint(paths: readonly string[], options?: { readonly tests?: boolean }): string;
