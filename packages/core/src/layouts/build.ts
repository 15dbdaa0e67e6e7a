import type { Assembly, Library } from "../assemblies";
import type { PartContext, Surroundings } from "../kinds";
import type { Layout } from "./layout";

/** What a part is built with, and what is around it. */
export type Site = {
  readonly library: Library;
  readonly context: PartContext;
  readonly around: Surroundings;
};

/**
 * Lays out a part by the assembly that fills its slot. The part is settled, measured and free of problems; what cannot be
 * laid out is among the problems of what comes back.
 */
export type Build<P> = (part: P, assembly: Assembly, site: Site) => Layout;
