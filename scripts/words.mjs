// `npm run words [FILE]`: every message of the program, as a translator needs it: the English of it with its places
// for values, and the files that say it. Counted nouns stand with both their forms. Plain Node and the TypeScript
// compiler; to standard output, or to FILE.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';

const ROOT = join(fileURLToPath(new URL('.', import.meta.url)), '..');
const SAYS = new Set(['say', 'sayWith']);

const sources = (folder) =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));

/** As `say` reads it: a break in the code is a blank. */
const textOf = (template) =>
  (ts.isNoSubstitutionTemplateLiteral(template)
    ? template.text
    : template.head.text + template.templateSpans.map(({ literal }, index) => `{${index}}${literal.text}`).join('')
  ).replace(/\s*\n\s*/g, ' ');

const isString = (node) => ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node);

/** The words of a table: all its strings, but for keys and what it names as codes. */
function tableWords(node, codes, take) {
  if (ts.isFunctionLike(node) || ts.isTaggedTemplateExpression(node)) return;
  if (ts.isPropertyAssignment(node)) {
    if (!codes.includes(node.name.text)) tableWords(node.initializer, codes, take);
    return;
  }
  const text = joined(node);
  if (text !== null) take(text);
  else ts.forEachChild(node, (child) => tableWords(child, codes, take));
}

/** A string, or several put together by plus; null for all else. */
function joined(node) {
  if (isString(node)) return node.text;
  if (!ts.isBinaryExpression(node) || node.operatorToken.kind !== ts.SyntaxKind.PlusToken) return null;
  const [left, right] = [joined(node.left), joined(node.right)];
  return left === null || right === null ? null : left + right;
}

function messagesIn(file, take) {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const visit = (node) => {
    if (ts.isTaggedTemplateExpression(node) && SAYS.has(node.tag.getText())) take(textOf(node.template));
    if (ts.isCallExpression(node)) {
      const [first, second, third] = node.arguments;
      const name = node.expression.getText();
      if (name === 'said' && first) {
        const codes = second && ts.isArrayLiteralExpression(second) ? second.elements.map(({ text }) => text) : [];
        tableWords(first, codes, take);
      }
      if (name === 'counted' && second && third && isString(second) && isString(third))
        take(`{0} ${second.text}|{0} ${third.text}`);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
}

const found = new Map();
for (const file of sources(join(ROOT, 'src')))
  messagesIn(file, (message) => {
    if (/\p{L}/u.test(message)) found.set(message, (found.get(message) ?? new Set()).add(relative(ROOT, file)));
  });
const catalogue = [...found]
  .map(([message, files]) => ({ message, files: [...files].sort() }))
  .sort((a, b) => (a.message < b.message ? -1 : 1));
const text = `${JSON.stringify(catalogue, null, 1)}\n`;
if (process.argv[2]) writeFileSync(process.argv[2], text);
else process.stdout.write(text);
