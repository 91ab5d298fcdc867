import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from '@jest/globals';
import ts from 'typescript';
import { parse } from 'vue/compiler-sfc';

/** What the interface never says: the trade has another word for it, or nobody speaks so on a North American lot. */
const never: Readonly<Record<string, RegExp>> = {
  'British spelling':
    /tyre|colour|aluminium|fibre|mould|stabilis|levell|centre|labelled|winteris|louvre|cupboard|cheque|grey\b|\bageing|windscreen|\bmains\b|behaviour|favour|neighbour|cancelled|travelled|recognis|catalogue/i, // voice: kept
  'not the trade’s word':
    /wheel nut|gear (?:space|hauler)|\bas built|gross rating|weight rating \(|breathing machine|store door|gas hose|heat outlet|hearsay|strand board|\baboard\b|kept in hand/i, // voice: kept
  'turn of phrase':
    /\bIt wants\b|\bnot to be (?:towed|driven|operated|sold)\b|\bmay not be\b|\bwalk(?:ed)? round\b|\bways? round\b|\bas it was\b|\bnobody has\b|\bsaid first\b|\bforgotten by\b|\bat the moment\b|\ball the same\b|\bdoes not\b|\bis not\b|\bcannot\b|(?<!each )\bone (?:can|may|sits|walks|climbs|stands)\b/i, // voice: kept
  'rule of punctuation': /\d %|\bplease\b|!(?=\s|$)/i,
};

/** Where other spellings are understood, or older data is read; what stands in the API's documents alone. */
const isLeftOut = (file: string): boolean =>
  /\/(?:versions|claims)\/|other-names\.ts|spelling\.ts|units\.ts|\/api\.ts|stand-in/.test(file);

const folders = ['core/src', 'web/src'];
const root = new URL('../../', import.meta.url);
const filesIn = (folder: string): readonly string[] =>
  readdirSync(new URL(`${folder}/`, root), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(?:ts|vue)$/.test(name))
    .map((name) => `${folder}/${name}`)
    .filter((file) => !isLeftOut(file));

/** Keys of a rule’s source: told in docs and to whoever opens the arithmetic, as practitioners quote them. */
const isSource = (node: ts.Node): boolean =>
  ts.isPropertyAssignment(node.parent) && node.parent.name.getText() === 'source';

const literalsOf = (code: string): readonly string[] => {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    const isText = ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node);
    if (isText && !isSource(node)) found.push(node.text);
    if (ts.isTemplateExpression(node) && !isSource(node)) {
      found.push(
        [node.head.text, ...node.templateSpans.map((span) => span.literal.text)].join('…'),
      );
    }
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true));
  return found;
};

/** Text between tags, and what stands in quotes within them. */
const wordsOfTemplate = (template: string): readonly string[] => [
  ...template
    .replaceAll(/<!--[\s\S]*?-->/g, ' ')
    .replaceAll(/\{\{[\s\S]*?\}\}/g, '…')
    .split(/<[^>]*>/)
    .map((text) => text.replaceAll(/\s+/g, ' ').trim()),
  ...[...template.matchAll(/\s(?:label|placeholder|title|aria-label|header|hint)="([^"]+)"/g)].map(
    ([, text = '']) => text,
  ),
  ...[...template.matchAll(/\{\{([\s\S]*?)\}\}/g)].flatMap(([, code = '']) => literalsOf(code)),
];

const textsOf = (file: string): readonly string[] => {
  const content = readFileSync(new URL(file, root), 'utf8');
  if (!file.endsWith('.vue')) return literalsOf(content);
  const { descriptor } = parse(content);
  return [
    ...literalsOf(descriptor.scriptSetup?.content ?? descriptor.script?.content ?? ''),
    ...wordsOfTemplate(descriptor.template?.content ?? ''),
  ];
};

/** A text that people read: several words, not a list of keys, a query or a style. */
const isRead = (text: string): boolean => /[A-Za-z’]{2,} [a-z’]/.test(text);

it.each(Object.entries(never))('nothing that people read has a %s', (_, pattern) => {
  const found = folders.flatMap(filesIn).flatMap((file) =>
    textsOf(file)
      .filter((text) => isRead(text) && pattern.test(text))
      .map((text) => `${file}: ${text.slice(0, 120)}`),
  );
  expect(found).toEqual([]);
});

it('finds what it is to find', () => {
  const template = '<p title="Walk round it">A tyre {{ ok ? "is not" : "it’s" }}</p>'; // voice: kept
  expect(
    wordsOfTemplate(template).filter((text) => /Walk round|tyre|is not/.test(text)),
  ).toHaveLength(3); // voice: kept
  expect(literalsOf('const a = `It wants ${n} in`; const b = { source: "as built" };')).toEqual([
    'It wants … in',
  ]);
});
