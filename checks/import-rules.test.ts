import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { wanted, written } from '../scripts/import-rules.mjs';

/** Where, what it imports, and whether that is refused. */
type Planted = readonly [file: string, code: string, refused: boolean];
const takes = (from: string): string => `import { x } from '${from}';\nexport const y = x;`;

/**
 * Plants files in a copy of the tree's settings and asks the linter: a rule that no violation can
 * trip guards nothing.
 */
const planted: readonly Planted[] = [
  ['src/core/shared/a.ts', takes('@/core/statistics'), true],
  ['src/core/shared/b.ts', takes('../statistics'), true],
  ['src/core/evidence/a.ts', takes('@/core/statistics'), false],
  ['src/core/evidence/b.ts', takes('@/core/statistics/logistic'), true],
  ['src/core/evidence/c.ts', takes('react'), true],
  ['src/core/evidence/d.ts', 'export const x = Date.now();', true],
  ['src/core/evidence/e.ts', "export const x = import('@/data/read');", true],
  ['src/core/evidence/f.ts', takes('@/core/log'), false],
  ['src/core/coaching/a.ts', takes('@/core/log'), true],
  ['src/core/rulebooks/families/a.ts', takes('@/data/read'), true],
  ['src/core/rulebooks/families/b.ts', takes('@/core/shared'), false],
  ['src/core/readiness/brute-force.test-helper.ts', takes('./simulate'), true],
  ['src/core/readiness/other.test-helper.ts', takes('./simulate'), false],
  ['src/data/records/a.ts', takes('@/core/shared'), false],
  ['src/data/records/b.ts', takes('@/features/field'), true],
  ['src/data/write/a.ts', takes('react'), true],
  ['src/data/live/a.ts', takes('react'), false],
  ['src/data/migrations/a.ts', takes('@/core/breakdown'), true],
  ['src/data/migrations/b.ts', takes('@/data/records'), true],
  ['src/workers/a.ts', takes('@/data/write'), true],
  ['src/workers/b.ts', takes('dexie'), true],
  ['src/workers/c.ts', takes('@/data/read'), false],
  ['src/features/today/a.ts', takes('@/features/field'), true],
  ['src/features/today/b.ts', "import type { x } from '../field/y';\nexport type Y = x;", true],
  ['src/features/today/c.ts', takes('@/data/write'), false],
  ['src/features/today/d.ts', takes('@/data/database'), true],
  ['src/features/today/parts/e.ts', takes('@/data/records'), true],
  ['src/ui/a.ts', takes('@/data/read'), true],
  ['src/ui/b.ts', "import type { Failure } from '@/core/shared';\nexport type Y = Failure;", false],
];

const root = mkdtempSync(join(tmpdir(), 'regulon-rules-'));
afterAll(() => rmSync(root, { recursive: true, force: true }));

function refusedFiles(): Set<string> {
  const settings = JSON.parse(readFileSync('biome.json', 'utf8')) as Record<string, unknown>;
  writeFileSync(
    join(root, 'biome.json'),
    JSON.stringify({ ...settings, vcs: { enabled: false }, $schema: undefined }),
  );
  for (const file of ['package.json', 'biome.imports.json']) cpSync(file, join(root, file));
  for (const [file, code] of planted) {
    mkdirSync(dirname(join(root, file)), { recursive: true });
    writeFileSync(join(root, file), `${code}\n`);
  }
  const report = lint();
  return new Set(
    report.diagnostics
      .filter((finding) => /noRestricted/.test(finding.category))
      .map((finding) => pathOf(finding)),
  );
}

type Finding = {
  readonly category: string;
  readonly location: { readonly path: string | { readonly file: string } };
};
const pathOf = ({ location }: Finding): string =>
  (typeof location.path === 'string' ? location.path : location.path.file).replace(`${root}/`, '');

function lint(): { diagnostics: Finding[] } {
  const program = join(process.cwd(), 'node_modules/@biomejs/biome/bin/biome');
  const args = [program, 'lint', '--reporter=json', '--max-diagnostics=none', '.'];
  try {
    return JSON.parse(
      execFileSync('node', args, { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }),
    );
  } catch (error) {
    return JSON.parse((error as { stdout: string }).stdout);
  }
}

describe('import rules', () => {
  it('are what the table says', () => {
    expect(written(), 'run: node scripts/import-rules.mjs').toBe(wanted());
  });

  const refused = refusedFiles();
  it.each(planted)('%s: %s is refused: %s', (file, _, expected) => {
    expect(refused.has(file)).toBe(expected);
  });
});

/**
 * The linter's rule cannot tell types from values, so this one reads the text: `import` without
 * `type`, and dynamic imports.
 */
const takesValues = (code: string): boolean =>
  /import\s+(?!type\b)[^;]*?from\s+'@\/core|import\(\s*'@\/core/.test(code);

describe('ui takes only types from core', () => {
  it.each([
    ["import { fail } from '@/core/shared';", true],
    ["import type { Axis } from '@/core/breakdown';\nimport { x } from './x';", false],
    ["import { x } from './x';\nimport type { Axis } from '@/core/breakdown';", false],
    ["const x = import('@/core/shared');", true],
  ])('%j: %s', (code, expected) => {
    expect(takesValues(code)).toBe(expected);
  });

  it('holds in every file', () => {
    const files = readdirSync('src/ui', { recursive: true, encoding: 'utf8' }).filter((file) =>
      /\.tsx?$/.test(file),
    );
    expect(files.length).toBeGreaterThan(3);
    expect(files.filter((file) => takesValues(readFileSync(join('src/ui', file), 'utf8')))).toEqual([]);
  });
});

describe('purity of core', () => {
  it('has no global randomness', () => {
    const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' }).filter((file) =>
      file.endsWith('.ts'),
    );
    const impure = files.filter((file) =>
      /Math\s*(\.\s*random|\[)/.test(readFileSync(join('src/core', file), 'utf8')),
    );
    expect(files.length).toBeGreaterThan(20);
    expect(impure).toEqual([]);
  });
});
