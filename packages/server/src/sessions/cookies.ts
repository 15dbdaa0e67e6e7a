/**
 * What cookies are called. Behind TLS they carry the prefix that browsers take from this host alone, over TLS and for all of it: neither
 * another page of the domain nor a connection in clear can set them (`__Host-`, RFC 6265bis).
 */
export type CookieNames = { readonly session: string; readonly device: string };

export function cookieNames(secure: boolean): CookieNames {
  const prefix = secure ? "__Host-" : "";
  return { session: `${prefix}wide_porch_session`, device: `${prefix}wide_porch_device` };
}

/** So long browsers keep a cookie at most. */
export const DEVICE_DAYS = 400;
