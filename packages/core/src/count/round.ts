import {
  type Assembly,
  type CompiledRule,
  type Ground,
  type KnownName,
  knownNames,
  type Library,
  type Value,
} from "../assemblies";
import type { Part, PartContext, QuantityValues, RowValues, Scalar } from "../kinds";
import type { Piece } from "../layouts";
import type { Layout } from "../layouts/layout";

/** An assembly as it applies to one part. */
export type Applied = {
  readonly part: Part;
  readonly assembly: Assembly;
  /** Empty for what the part itself is framed by; else the id of the use. */
  readonly useId: string;
  readonly choices: Readonly<Record<string, Scalar>>;
  readonly layout: Layout;
  readonly quantities: QuantityValues;
  /** What the part has several of. */
  readonly rows: Readonly<Record<string, readonly RowValues[]>>;
  readonly library: Library;
  readonly context: PartContext;
};

/** What all the lines of one applied assembly share. */
export type Round = Applied & {
  readonly ground: Ground & { readonly values: Map<string, Value> };
  readonly pieces: PiecesByRole;
};

type PiecesByRole = ReadonlyMap<string, readonly Piece[]>;

const piecesCache = new WeakMap<Layout, PiecesByRole>();

export function piecesByRole(layout: Layout): PiecesByRole {
  const known = piecesCache.get(layout);
  if (known) return known;
  const byRole = new Map<string, Piece[]>();
  for (const piece of layout.pieces) {
    const group = byRole.get(piece.role);
    if (group) group.push(piece);
    else byRole.set(piece.role, [piece]);
  }
  piecesCache.set(layout, byRole);
  return byRole;
}

/** The placed pieces that a rule counts. Most rules count one role: its list is taken as it is. */
export function piecesOf({ roles }: CompiledRule, { pieces }: Round): readonly Piece[] {
  const [only, ...others] = roles;
  if (only !== undefined && others.length === 0) return pieces.get(only) ?? [];
  const all: Piece[] = [];
  for (const role of roles) for (const piece of pieces.get(role) ?? []) all.push(piece);
  return all;
}

const namesCache = new WeakMap<Assembly, ReadonlyMap<string, KnownName>>();

export function namesOf(assembly: Assembly): ReadonlyMap<string, KnownName> {
  const known = namesCache.get(assembly);
  if (known) return known;
  const names = new Map(knownNames(assembly).map((each) => [each.name, each]));
  namesCache.set(assembly, names);
  return names;
}
