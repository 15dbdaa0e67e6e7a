import type { Assembly } from "../assemblies";

export const writeAssemblyFile = (assembly: Assembly): string => `${JSON.stringify(assembly, null, 2)}\n`;
