/**
 * What is imported from the index of a folder is imported from the file that has it: the bundler keeps a folder's other files out of
 * what is loaded first. Indexes here only pass names on. Metro alone uses it; Jest replaces whole folders, and so does not.
 */
const fs = require('node:fs');
const path = require('node:path');
const { createHash } = require('node:crypto');
const ts = require('typescript');

const SRC = path.join(__dirname, '..', 'src');
const ENDINGS = ['.ts', '.tsx', '/index.ts', '/index.tsx'];

/** The file of ours that a module of ours names; null: it is another's. */
const fileOf = (name, from) => {
  const base = name.startsWith('@/')
    ? path.join(SRC, name.slice(2))
    : name.startsWith('.')
      ? path.join(path.dirname(from), name)
      : null;
  return (base && ENDINGS.map((end) => base + end).find((file) => fs.existsSync(file))) ?? null;
};

const isIndex = (file) => /\/index\.tsx?$/.test(file);
const known = new Map();

/** Where each name that a file exports comes from: its file, and its name there. */
const exportsOf = (file) => {
  const held = known.get(file);
  if (held) return held;
  const found = new Map();
  known.set(file, found);
  const own = ts.createSourceFile(file, fs.readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, false);
  for (const statement of own.statements)
    if (ts.isExportDeclaration(statement)) passOn(statement, file, found);
    else if (ts.canHaveModifiers(statement) && isExported(statement))
      for (const name of namesOf(statement)) found.set(name, { file, name });
  return found;
};

const isExported = (statement) =>
  (ts.getModifiers(statement) ?? []).some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);

const namesOf = (statement) =>
  ts.isVariableStatement(statement)
    ? statement.declarationList.declarations.flatMap(({ name }) => (ts.isIdentifier(name) ? [name.text] : []))
    : statement.name
      ? [statement.name.text]
      : [];

/** `export { a as b } from './x'`, and `export * from './x'`. */
const passOn = ({ moduleSpecifier, exportClause }, file, found) => {
  const of = moduleSpecifier && fileOf(moduleSpecifier.text, file);
  const there = of ? exportsOf(of) : new Map();
  if (!exportClause) for (const [name, origin] of there) found.set(name, origin);
  else if (ts.isNamedExports(exportClause))
    for (const { name, propertyName } of exportClause.elements) {
      const origin = there.get((propertyName ?? name).text);
      if (origin) found.set(name.text, origin);
    }
};

/** What the indexes say: a build whose imports were made straight by others is not to be taken for it. */
const version = () => {
  const indexes = fs.readdirSync(SRC, { recursive: true }).filter((file) => /(^|\/)index\.tsx?$/.test(file));
  const hash = createHash('sha1');
  for (const file of indexes.sort()) hash.update(file).update(fs.readFileSync(path.join(SRC, file)));
  return hash.digest('hex');
};

module.exports = ({ types: t }) => ({
  name: 'direct-imports',
  visitor: {
    ImportDeclaration(at, { filename = '' }) {
      const { node } = at;
      const index = fileOf(node.source.value, filename);
      if (node.importKind === 'type' || !index || !isIndex(index) || !filename.startsWith(SRC)) return;
      if (!node.specifiers.length || !node.specifiers.every((one) => t.isImportSpecifier(one))) return;
      const origins = exportsOf(index);
      const made = new Map();
      const put = (from, specifier) => made.set(from, [...(made.get(from) ?? []), specifier]);
      for (const one of node.specifiers) {
        const origin = origins.get(one.imported.name ?? one.imported.value);
        if (!origin || origin.file === index) put(node.source.value, one);
        else {
          const straight = t.importSpecifier(one.local, t.identifier(origin.name));
          if (one.importKind === 'type') straight.importKind = 'type';
          put(`@/${path.relative(SRC, origin.file).replace(/\.tsx?$/, '')}`, straight);
        }
      }
      if (made.size === 1 && made.has(node.source.value)) return;
      at.replaceWithMultiple(
        [...made].map(([from, specifiers]) => t.importDeclaration(specifiers, t.stringLiteral(from))),
      );
    },
  },
});
module.exports.version = version;
