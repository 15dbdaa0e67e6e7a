/** Where something stands in the text of a formula: from the first character to before `to`. */
export type Span = { readonly from: number; readonly to: number };

export type BinaryOperator = "+" | "-" | "*" | "/" | "^" | "<" | "<=" | ">" | ">=" | "==" | "!=" | "and" | "or";

/** A formula as read: a closed set of forms, each knowing where it stands in the text. */
export type Expression = { readonly span: Span } & (
  | { readonly is: "number"; readonly value: number }
  | { readonly is: "text"; readonly value: string }
  | { readonly is: "yes-no"; readonly value: boolean }
  | { readonly is: "name"; readonly name: string }
  /** `unit.length`: of what a parameter names. */
  | { readonly is: "property"; readonly of: string; readonly property: string; readonly ofSpan: Span }
  | { readonly is: "call"; readonly name: string; readonly nameSpan: Span; readonly args: readonly Expression[] }
  | { readonly is: "unary"; readonly operator: "-" | "not"; readonly of: Expression }
  | {
      readonly is: "binary";
      readonly operator: BinaryOperator;
      readonly left: Expression;
      readonly right: Expression;
    }
  | {
      readonly is: "if";
      readonly when: Expression;
      readonly then: Expression;
      readonly otherwise: Expression;
    }
);

/** Something wrong in a formula, in words, and where. */
export type FormulaProblem = {
  readonly code: string;
  readonly message: string;
  readonly span: Span;
};

/** What a function of rows works out for each of them: names that are columns there are no names of the formula. */
export type RowsOf = (expression: Expression & { is: "call" }) => ReadonlySet<string> | undefined;

/** Every name a formula uses that is not a function, in the order written, each once. */
export function namesIn(expression: Expression, rowsOf: RowsOf = () => undefined): string[] {
  const names = new Set<string>();
  const walk = (each: Expression, columns: ReadonlySet<string>): void => {
    if (each.is === "name" && !columns.has(each.name)) names.add(each.name);
    if (each.is === "property") names.add(each.of);
    const own = each.is === "call" ? rowsOf(each) : undefined;
    // The first thing in its brackets is the rows' own name.
    const children = own && each.is === "call" ? each.args.slice(1) : childrenOf(each);
    for (const child of children) walk(child, own ? new Set([...columns, ...own]) : columns);
  };
  walk(expression, new Set());
  return [...names];
}

export function childrenOf(expression: Expression): readonly Expression[] {
  switch (expression.is) {
    case "call":
      return expression.args;
    case "unary":
      return [expression.of];
    case "binary":
      return [expression.left, expression.right];
    case "if":
      return [expression.when, expression.then, expression.otherwise];
    default:
      return [];
  }
}
