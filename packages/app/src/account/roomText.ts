import type { Safety } from "../api/records";

type Usage = Safety["usage"];
type Used = Usage[keyof Usage];

const MB = 1_000_000;
const NAMES: Readonly<Record<keyof Usage, string>> = {
  jobs: "Jobs",
  items: "Items in the price list",
  photos: "Photos",
  photoBytes: "Room for photos",
};

const count = (value: number): string => value.toLocaleString("en");
/** To the tenth below ten. */
const megabytes = (bytes: number): string => {
  const mb = bytes / MB;
  return `${count(mb < 10 ? Math.round(mb * 10) / 10 : Math.round(mb))} MB`;
};

/** How much of something is taken, in words. */
export function roomText(what: keyof Usage, { used, most }: Used): { readonly name: string; readonly text: string } {
  const of = what === "photoBytes" ? megabytes : count;
  return { name: NAMES[what], text: `${of(used)} of ${of(most)}` };
}

const SOON = 0.8;

/** Said before it is met. */
export function fullness({ used, most }: Used): "room" | "soon" | "full" {
  if (used >= most) return "full";
  return used >= most * SOON ? "soon" : "room";
}
