import { ground } from "./ground";
import { joists } from "./joists";
import { loose } from "./loose";
import { plan } from "./plan";
import { roofs } from "./roofs";
import type { Sampled } from "./sampled";
import { walls } from "./walls";

/** One or more of every kind there is, measured and free of problems. */
export const samples: readonly Sampled[] = [...walls, ...plan, ...loose, ...roofs, ...joists, ...ground];
