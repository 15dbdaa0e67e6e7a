import ts from "typescript";

/** A file with one thing in it changed. */
export type Mutant = {
  readonly file: string;
  readonly line: number;
  readonly what: string;
  readonly text: string;
  /** The file as it was. */
  readonly before: string;
};

type Change = { readonly node: ts.Node; readonly to: string };

const OPERATORS: ReadonlyMap<ts.SyntaxKind, string> = new Map([
  [ts.SyntaxKind.PlusToken, "-"],
  [ts.SyntaxKind.MinusToken, "+"],
  [ts.SyntaxKind.AsteriskToken, "/"],
  [ts.SyntaxKind.SlashToken, "*"],
  [ts.SyntaxKind.LessThanToken, "<="],
  [ts.SyntaxKind.LessThanEqualsToken, "<"],
  [ts.SyntaxKind.GreaterThanToken, ">="],
  [ts.SyntaxKind.GreaterThanEqualsToken, ">"],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, "!=="],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, "==="],
  [ts.SyntaxKind.AmpersandAmpersandToken, "||"],
  [ts.SyntaxKind.BarBarToken, "&&"],
  [ts.SyntaxKind.PlusEqualsToken, "-="],
  [ts.SyntaxKind.MinusEqualsToken, "+="],
]);

/** Words of methods whose opposites do as much, wrongly. */
const METHODS: Readonly<Record<string, string>> = {
  min: "max",
  max: "min",
  ceil: "floor",
  floor: "ceil",
  some: "every",
  every: "some",
};
const isMath = (node: ts.PropertyAccessExpression): boolean => node.expression.getText() === "Math";

function changesAt(node: ts.Node): Change[] {
  if (ts.isBinaryExpression(node)) {
    const to = OPERATORS.get(node.operatorToken.kind);
    const joinsText = node.operatorToken.kind === ts.SyntaxKind.PlusToken && /["'`]/.test(node.getText());
    return to && !joinsText ? [{ node: node.operatorToken, to }] : [];
  }
  if (ts.isNumericLiteral(node)) return [{ node, to: numberFor(node.text) }];
  if (node.kind === ts.SyntaxKind.TrueKeyword && !ts.isLiteralTypeNode(node.parent)) return [{ node, to: "false" }];
  if (node.kind === ts.SyntaxKind.FalseKeyword && !ts.isLiteralTypeNode(node.parent)) return [{ node, to: "true" }];
  if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) {
    return [{ node, to: node.operand.getText() }];
  }
  if (!ts.isPropertyAccessExpression(node) || !ts.isCallExpression(node.parent)) return [];
  const { text } = node.name;
  const to = Object.hasOwn(METHODS, text) ? METHODS[text] : undefined;
  const fits = text === "some" || text === "every" || isMath(node);
  return to && fits ? [{ node: node.name, to }] : [];
}

/** A zero for a one, a one for a zero, one more of anything else. */
function numberFor(text: string): string {
  if (text === "0") return "1";
  return text === "1" ? "0" : `(${text} + 1)`;
}

/** Every single change of a file that leaves it a program: operators, bounds, figures, a least for a most. */
export function mutantsOf(file: string, text: string): Mutant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.ES2022, true);
  const mutants: Mutant[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    for (const { node: at, to } of changesAt(node)) {
      const [start, end] = [at.getStart(source), at.getEnd()];
      const line = source.getLineAndCharacterOfPosition(start).line + 1;
      const what = `${text.slice(start, end)} → ${to}`;
      mutants.push({ file, line, what, before: text, text: text.slice(0, start) + to + text.slice(end) });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return mutants;
}
