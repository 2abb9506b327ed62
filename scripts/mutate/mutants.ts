import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';

/** One number of the core, and what it is changed into. */
export interface Mutant {
  /** From the project's folder. */
  file: string;
  line: number;
  from: number;
  to: number;
  /** Where it stands in the file's text. */
  start: number;
  end: number;
  /** The line it stands in. */
  says: string;
}

/**
 * Another value near by: a tenth more; of small whole numbers the next. A tenth is less than any two units, counts or times of the trade
 * differ by, and more than rounding.
 */
export const changed = (value: number): number =>
  Number.isInteger(value) && Math.abs(value) < 10 ? value + 1 : Number.isInteger(value) ? Math.round(value * 1.1) : value * 1.1;

/** How long a text or a list may be in a schema: nobody acts on it. */
function isLength({ parent }: ts.Node): boolean {
  if (!ts.isCallExpression(parent) || !ts.isPropertyAccessExpression(parent.expression)) return false;
  const { name, expression } = parent.expression;
  return ['min', 'max', 'length'].includes(name.text) && /^z\s*\.(string|array)\(/.test(expression.getText());
}

const comparisons = [
  ts.SyntaxKind.LessThanToken,
  ts.SyntaxKind.LessThanEqualsToken,
  ts.SyntaxKind.GreaterThanToken,
  ts.SyntaxKind.GreaterThanEqualsToken,
];

/** What something is compared with, wherever it stands, is a threshold; whether there is one, two or none of a list is not. */
const isThreshold = (node: ts.NumericLiteral): boolean =>
  ts.isBinaryExpression(node.parent) &&
  comparisons.includes(node.parent.operatorToken.kind) &&
  !['1', '2'].includes(node.text) &&
  !/\.(length|size)$/.test(node.parent.left.getText());

/** A number that people act on: of a table, a constant with a name at the top of a file, or what something is compared with. */
function isHeld(node: ts.NumericLiteral, isTable: boolean): boolean {
  if (isLength(node)) return false;
  if (isThreshold(node)) return true;
  let isTop = false;
  for (let at: ts.Node = node; at.parent; at = at.parent) {
    // What is computed inside of a function is a formula, and has its worked examples; types and indexes say nothing of the trade.
    if (ts.isTypeNode(at) || (ts.isElementAccessExpression(at.parent) && at.parent.argumentExpression === at)) return false;
    if (!isTable && (ts.isFunctionLike(at) || ts.isClassLike(at) || ts.isPropertyAssignment(at))) return false;
    if (ts.isVariableStatement(at) && ts.isSourceFile(at.parent)) isTop = true;
  }
  return isTop;
}

/** @param text of a file of the core */
export function mutantsOf(file: string, text: string): Mutant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const isTable = /\/tables\//.test(file);
  const found: Mutant[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isNumericLiteral(node) && isHeld(node, isTable)) {
      const from = Number(node.text);
      const start = node.getStart(source);
      const line = source.getLineAndCharacterOfPosition(start).line;
      const says = text.split('\n')[line]!.trim();
      // Nothing is a tenth more than nothing: it stands for "none" or "the first".
      if (from !== 0) found.push({ file, line: line + 1, from, to: changed(from), start, end: node.getEnd(), says });
    }
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

/** Every number of the core's tables, and every constant that has a name. */
export const allMutants = (): Mutant[] =>
  readdirSync('core/src', { recursive: true, encoding: 'utf8' })
    .map((name) => `core/src/${name}`)
    .filter((file) => /\.ts$/.test(file) && !/\.test\.ts$/.test(file))
    .sort()
    .flatMap((file) => mutantsOf(file, readFileSync(file, 'utf8')));

/** What a mutant is called where it is listed: it stays so when lines move. */
export const nameOf = ({ file, says, from }: Mutant): string => `${file}: ${from} in ${says}`;
