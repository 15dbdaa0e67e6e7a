import { findNodeAtLocation, type Node, type ParseError, parseTree, printParseErrorCode } from "jsonc-parser";
import { type Assembly, type AssemblyTable, assemblyMigrations, assemblySchema, problemsOf } from "../assemblies";
import { migrate } from "../migrations/migrate";

/** What is wrong in a file, and on which line. */
export type FileProblem = { readonly line: number; readonly path: string; readonly message: string };

export type AssemblyFileResult =
  | { readonly ok: true; readonly assembly: Assembly; readonly problems: readonly FileProblem[] }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

const lineOf = (text: string, offset: number): number => text.slice(0, offset).split("\n").length;

/** `InvalidSymbol` → `Invalid symbol`. */
const words = (code: string): string => {
  const spaced = code.replace(/([a-z])([A-Z])/g, "$1 $2").toLowerCase();
  return spaced.charAt(0).toUpperCase() + spaced.slice(1);
};

type Path = readonly PropertyKey[];

/** The line of the nearest thing there is on the way to a place in the file. */
function lineAt(text: string, root: Node, path: Path): number {
  for (let length = path.length; length >= 0; length -= 1) {
    const way = path.slice(0, length).map((step) => (typeof step === "symbol" ? String(step) : step));
    const node = findNodeAtLocation(root, way);
    if (node) return lineOf(text, node.offset);
  }
  return 1;
}

/** A file of an earlier version is brought up to date; what says no version is left to the schema, which says what it lacks. */
function liftedFrom(stored: unknown) {
  const versioned = typeof stored === "object" && stored !== null && "schemaVersion" in stored;
  return versioned ? migrate(stored, assemblyMigrations) : { ok: true as const, value: stored };
}

/**
 * Reads an assembly from JSON. A file that is no assembly is refused with the line and the reason; one whose formulas have
 * mistakes comes in with them, each with its line.
 */
export function readAssemblyFile(
  text: string,
  others: readonly Assembly[] = [],
  tables: readonly AssemblyTable[] = [],
): AssemblyFileResult {
  if (text.trim() === "") return { ok: false, problems: [{ line: 1, path: "", message: "The file is empty." }] };
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { disallowComments: true });
  const [broken] = errors;
  if (!root || broken) {
    const message = broken ? `${words(printParseErrorCode(broken.error))}: this is not JSON.` : "This is not JSON.";
    return { ok: false, problems: [{ line: broken ? lineOf(text, broken.offset) : 1, path: "", message }] };
  }
  const lifted = liftedFrom(JSON.parse(text));
  if (!lifted.ok) {
    const path = "schemaVersion";
    return { ok: false, problems: [{ line: lineAt(text, root, [path]), path, message: lifted.problem.message }] };
  }
  const result = assemblySchema.safeParse(lifted.value);
  if (!result.success) {
    const problems = result.error.issues.map(({ path, message }) => ({
      line: lineAt(text, root, path),
      path: path.map(String).join("."),
      message,
    }));
    return { ok: false, problems };
  }
  const problems = problemsOf(result.data, others, tables).map(({ path, message }) => ({
    line: lineAt(
      text,
      root,
      path.split(".").map((step) => (/^\d+$/.test(step) ? Number(step) : step)),
    ),
    path,
    message,
  }));
  return { ok: true, assembly: result.data, problems };
}
