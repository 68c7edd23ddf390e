import { expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** Attributes that are read by people. */
const SAID = new Set([
  'title',
  'label',
  'help',
  'alt',
  'placeholder',
  'aria-label',
  'aria-description',
  'aria-valuetext',
]);
/** What is typed or named as it stands, in every language. */
const AS_IT_STANDS = new Set(['code', 'option']);
/** What makes "1 walk" and "3 walks": the noun is a word too. */
const COUNTED = new Set(['countOf', 'plural']);
const hasWord = (text: string): boolean => /\p{L}{2}/u.test(text);

/** Texts that a component says by itself. */
function saidIn(name: string, source: string): string[] {
  const found: string[] = [];
  const inElement = (node: ts.Node): string | undefined => {
    if (!ts.isJsxElement(node.parent)) return undefined;
    return node.parent.openingElement.tagName.getText();
  };
  const look = (node: ts.Node): void => {
    if (ts.isJsxText(node) && hasWord(node.text) && !AS_IT_STANDS.has(inElement(node) ?? ''))
      found.push(node.text.trim());
    if (
      ts.isJsxAttribute(node) &&
      node.initializer &&
      ts.isStringLiteral(node.initializer) &&
      SAID.has(node.name.getText()) &&
      hasWord(node.initializer.text)
    )
      found.push(node.initializer.text);
    if (ts.isCallExpression(node) && COUNTED.has(node.expression.getText()))
      found.push(...node.arguments.filter(ts.isStringLiteral).map((a) => a.text));
    node.forEachChild(look);
  };
  look(ts.createSourceFile(name, source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX));
  return found.map((text) => `${name}: ${text}`);
}

test('every word on a screen stands in the phrases of its room', () => {
  expect(
    saidIn('a.tsx', '<p title="Walk now">Two walks {n} <code>npm start</code>{countOf(n, "leg")}</p>'),
  ).toEqual(['a.tsx: Walk now', 'a.tsx: Two walks', 'a.tsx: leg']);
  const views = readdirSync(import.meta.dirname, { recursive: true, encoding: 'utf8' }).filter((f) =>
    f.endsWith('.tsx'),
  );
  expect(views.length).toBeGreaterThan(300);
  expect(views.flatMap((f) => saidIn(f, readFileSync(join(import.meta.dirname, f), 'utf8')))).toEqual([]);
});
