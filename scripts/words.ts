import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { ROOT } from './places.ts';

/** Where sentences for people are written. */
const FOLDERS = ['core/src', 'contract/src', 'server/src', 'web/src'];
/** A sentence or a label: a letter, a space, and nothing that only code is written with. */
const FOR_PEOPLE = /\p{L}.* .*\p{L}/u;
const CODE = /^(select|insert|update|delete|create|alter|grant|with|from|where) |[{};]|=>|\bpx\b/;
/** Names of styles: words in lower case, one of them hyphenated or a number. */
const isStyles = (text: string): boolean =>
  /^[a-z0-9:[\]().,/_%-]+( [a-z0-9:[\]().,/_%-]+)*$/.test(text) &&
  /(^| )(\S*-\S+|flex|grid|block|num|field)( |$)/.test(text);

function filesUnder(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesUnder(path);
    return /\.tsx?$/.test(entry.name) && !/\.test\.|migrations|\.d\.ts$/.test(path) ? [path] : [];
  });
}

/** What a node says to somebody, its parts that are computed shown as dots. */
function wordsOf(node: ts.Node): string | undefined {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  if (ts.isJsxText(node)) return node.text.replaceAll(/\s+/g, ' ').trim();
  if (ts.isTemplateExpression(node))
    return node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('');
  return undefined;
}

/** Lists every sentence the application can say, by the file that says it, so that all can be read through in one go. */
function main(): void {
  let count = 0;
  for (const file of FOLDERS.flatMap((folder) => filesUnder(join(ROOT, folder)))) {
    const source = ts.createSourceFile(
      file,
      readFileSync(file, 'utf8'),
      ts.ScriptTarget.Latest,
      true,
      ts.ScriptKind.TSX,
    );
    const said: string[] = [];
    const visit = (node: ts.Node): void => {
      if (ts.isImportDeclaration(node)) return;
      if (ts.isJsxAttribute(node) && /^(className|d|viewBox|style)$/.test(node.name.getText())) return;
      if (ts.isTaggedTemplateExpression(node)) return;
      const words = wordsOf(node);
      if (words !== undefined && FOR_PEOPLE.test(words) && !CODE.test(words) && !isStyles(words))
        said.push(words.trim());
      if (words === undefined || ts.isTemplateExpression(node)) node.forEachChild(visit);
    };
    visit(source);
    if (said.length === 0) continue;
    count += said.length;
    console.log(`\n${relative(ROOT, file)}`);
    for (const words of new Set(said)) console.log(`  ${words}`);
  }
  console.log(`\n${count} sentences and labels.`);
}

main();
