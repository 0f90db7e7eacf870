import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ICONS } from '../src/ui/icons';

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.tsx?$/.test(entry.name) ? [readFileSync(path, 'utf8')] : [];
  });

test('every sign that is named anywhere is there', () => {
  const named = new Set<string>();
  for (const source of [...sources(join(__dirname, '../src')), ...sources(join(__dirname, '../app'))])
    for (const [, given] of source.matchAll(
      /(?:icon|source|leadingIcon)[=:]\s*(\{[^}]*\}|'[^']*'|"[^"]*"|[^,\n]*\?[^,\n]*)/g,
    ))
      for (const [, name] of given!.matchAll(/['"]([a-z][a-z0-9-]*)['"]/g)) named.add(name!);
  for (const word of ['stretch', 'clockwise', 'round', 'settings', 'several', 'left', 'above', 'sign'])
    named.delete(word);
  expect(named.size).toBeGreaterThan(60);
  expect([...named].filter((name) => !ICONS.has(name))).toEqual([]);
});
