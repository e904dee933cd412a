import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { tokens } from '../../resources/js/theme/tokens';

const SOURCES = join(import.meta.dirname, '../../resources/js');

const sources = readdirSync(SOURCES, { recursive: true, encoding: 'utf8' })
  .filter((path) => /\.tsx?$/.test(path) && !path.startsWith('theme') && !path.includes('contract'))
  .map((path) => [path, readFileSync(join(SOURCES, path), 'utf8')] as const);

const LENGTHS =
  'width|height|minWidth|maxWidth|minHeight|maxHeight|boxSize|top|bottom|left|right|gap|columnGap|rowGap|(?:margin|padding)[A-Za-z]*';

/** Whether a prop that begins here is one of a plain drawing, whose lengths are its own. */
const isDrawn = (source: string, at: number): boolean =>
  /^[a-z]+\b(?!\.)/.test(source.slice(source.lastIndexOf('<', at) + 1));

/** Lengths by their names, as they stand in a prop, for every width of the screen. */
const named = (source: string): string[] =>
  [...source.matchAll(new RegExp(`\\b(?:${LENGTHS})=(?:"([^"]*)"|\\{\\{([^}]*)\\}\\})`, 'g'))]
    .filter((one) => !isDrawn(source, one.index))
    .flatMap(([, plain, each]) =>
      plain === undefined ? [...(each ?? '').matchAll(/'([^']*)'/g)].map((one) => one[1] ?? '') : [plain],
    )
    .filter((name) => /^-?\d+(\.\d+)?$/.test(name))
    .map((name) => name.replace('-', ''));

describe('the lengths of the screens', () => {
  it('stand in one place, and are named elsewhere', () => {
    expect(sources.filter(([, source]) => /\d(?:\.\d+)?rem\b/.test(source)).map(([path]) => path)).toEqual([]);
  });

  it('have a name that is known, for one that is not would be no length at all', () => {
    const known = new Set([...Object.keys(tokens.sizes ?? {}), ...Object.keys(tokens.spacing ?? {})]);
    const referred = sources.flatMap(([path, source]) =>
      [...named(source), ...[...source.matchAll(/\{sizes\.([\w.]+)\}/g)].map((one) => one[1] ?? '')].map(
        (name) => [path, name] as const,
      ),
    );
    expect(referred.length).toBeGreaterThan(300);
    expect(referred.filter(([, name]) => !known.has(name))).toEqual([]);
  });
});
