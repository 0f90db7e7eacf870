import * as onLoan from '@velvet-tape/core/on-loan';
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import ts from 'typescript';
import * as toCome from '../src/core-later/to-come';

const core = join(__dirname, '../../../packages/core/src/');
const { ROOMS } = require('../src/core-later/rooms.cjs') as { ROOMS: readonly string[] };

/** What the files of a folder import as values, with the file. */
function imported(room: string): { file: string; from: string; names: string[] }[] {
  return readdirSync(room, { recursive: true, withFileTypes: true }).flatMap((entry) => {
    if (!entry.isFile()) return [];
    const file = join(entry.parentPath, entry.name);
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest);
    return source.statements.flatMap((statement) => {
      if (!ts.isImportDeclaration(statement) || statement.importClause?.phaseModifier) return [];
      const from = (statement.moduleSpecifier as ts.StringLiteral).text;
      const named = statement.importClause?.namedBindings;
      if (!named || !ts.isNamedImports(named)) return [{ file, from, names: ['*'] }];
      const names = named.elements
        .filter((each) => !each.isTypeOnly)
        .map((each) => (each.propertyName ?? each.name).text);
      return names.length > 0 ? [{ file, from, names }] : [];
    });
  });
}

const isLater = (path: string) => ROOMS.some((room) => `${path}/`.startsWith(room));
const isRelative = (from: string) => from.startsWith('.');

test('what the later rooms of the core take of the others is lent to them', () => {
  const taken = ROOMS.flatMap(imported).filter(({ file, from }) => !isLater(resolve(dirname(file), from)));
  expect(taken.length).toBeGreaterThan(10);
  const missing = taken.flatMap(({ file, from, names }) =>
    names
      .filter((name) => !isRelative(from) || !Object.hasOwn(onLoan, name))
      .map((name) => `${file.slice(core.length)}: ${name} from ${from}`),
  );
  expect(missing).toEqual([]);
});

test('what the core takes of its later rooms has a stand-in till they are there', () => {
  const taken = imported(core).filter(
    ({ file, from }) =>
      !isLater(file) && !file.includes('/on-loan/') && isRelative(from) && isLater(resolve(dirname(file), from)),
  );
  const heart = taken.filter(({ file }) => !['/sheets/', '/areas/', '/raised/'].some((room) => file.includes(room)));
  expect(heart.length).toBeGreaterThan(1);
  expect(heart.flatMap(({ names }) => names).filter((name) => !Object.hasOwn(toCome, name))).toEqual([]);
});
