import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';

/** Plants files in a copy of the tree's settings and asks the linter: a rule that no violation can trip guards nothing. */
const planted: readonly { readonly file: string; readonly code: string; readonly refused: boolean }[] = [
  { file: 'src/core/shared/a.ts', code: "import { logit } from '@/core/statistics';\nexport const x = logit;", refused: true },
  { file: 'src/core/shared/b.ts', code: "import { logit } from '../statistics';\nexport const x = logit;", refused: true },
  { file: 'src/core/evidence/a.ts', code: "import { logit } from '@/core/statistics';\nexport const x = logit;", refused: false },
  { file: 'src/core/evidence/b.ts', code: "import { logit } from '@/core/statistics/logistic';\nexport const x = logit;", refused: true },
  { file: 'src/core/evidence/c.ts', code: "import { useState } from 'react';\nexport const x = useState;", refused: true },
  { file: 'src/core/evidence/d.ts', code: 'export const x = Date.now();', refused: true },
  { file: 'src/core/evidence/e.ts', code: "export const x = import('@/data/repositories');", refused: true },
  { file: 'src/core/rulebooks/families/a.ts', code: "import { x } from '@/data/repositories';\nexport const y = x;", refused: true },
  { file: 'src/core/rulebooks/families/b.ts', code: "import { fail } from '@/core/shared';\nexport const y = fail;", refused: false },
  { file: 'src/data/records/a.ts', code: "import { fail } from '@/core/shared';\nexport const y = fail;", refused: false },
  { file: 'src/data/records/b.ts', code: "import { x } from '@/features/field';\nexport const y = x;", refused: true },
  { file: 'src/workers/a.ts', code: "import { x } from '@/data/repositories';\nexport const y = x;", refused: true },
  { file: 'src/workers/b.ts', code: "import Dexie from 'dexie';\nexport const y = Dexie;", refused: true },
  { file: 'src/features/today/a.ts', code: "import { x } from '@/features/field';\nexport const y = x;", refused: true },
  { file: 'src/features/today/b.ts', code: "import type { x } from '../field/y';\nexport type Y = x;", refused: true },
  { file: 'src/features/today/c.ts', code: "import { x } from '@/data/repositories';\nexport const y = x;", refused: false },
  { file: 'src/features/today/d.ts', code: "import { x } from '@/data/database';\nexport const y = x;", refused: true },
  { file: 'src/ui/a.ts', code: "import { x } from '@/data/repositories';\nexport const y = x;", refused: true },
  { file: 'src/ui/b.ts', code: "import type { Failure } from '@/core/shared';\nexport type Y = Failure;", refused: false },
];

const root = mkdtempSync(join(tmpdir(), 'regulon-rules-'));
afterAll(() => rmSync(root, { recursive: true, force: true }));

function refusedFiles(): Set<string> {
  const settings = JSON.parse(readFileSync('biome.json', 'utf8')) as Record<string, unknown>;
  writeFileSync(join(root, 'biome.json'), JSON.stringify({ ...settings, vcs: { enabled: false }, $schema: undefined }));
  cpSync('package.json', join(root, 'package.json'));
  for (const { file, code } of planted) {
    mkdirSync(dirname(join(root, file)), { recursive: true });
    writeFileSync(join(root, file), `${code}\n`);
  }
  const report = lint();
  return new Set(report.diagnostics.filter((finding) => /noRestricted/.test(finding.category)).map((finding) => pathOf(finding)));
}

type Finding = { readonly category: string; readonly location: { readonly path: string | { readonly file: string } } };
const pathOf = ({ location }: Finding): string => (typeof location.path === 'string' ? location.path : location.path.file).replace(`${root}/`, '');

function lint(): { diagnostics: Finding[] } {
  const program = join(process.cwd(), 'node_modules/@biomejs/biome/bin/biome');
  const args = [program, 'lint', '--reporter=json', '--max-diagnostics=none', '.'];
  try {
    return JSON.parse(execFileSync('node', args, { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }));
  } catch (error) {
    return JSON.parse((error as { stdout: string }).stdout);
  }
}

describe('import rules', () => {
  const refused = refusedFiles();
  it.each(planted)('$file refused: $refused', ({ file, refused: expected }) => {
    expect(refused.has(file)).toBe(expected);
  });
});

/** The linter's rule cannot tell types from values, so this one reads the text: `import` without `type`, and dynamic imports. */
const takesValues = (code: string): boolean => /import\s+(?!type\b)[^;]*?from\s+'@\/core|import\(\s*'@\/core/.test(code);

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
    const files = readdirSync('src/ui', { encoding: 'utf8' });
    expect(files.length).toBeGreaterThan(3);
    expect(files.filter((file) => takesValues(readFileSync(join('src/ui', file), 'utf8')))).toEqual([]);
  });
});

describe('purity of core', () => {
  it('has no global randomness', () => {
    const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.ts'));
    const impure = files.filter((file) => /Math\s*(\.\s*random|\[)/.test(readFileSync(join('src/core', file), 'utf8')));
    expect(files.length).toBeGreaterThan(20);
    expect(impure).toEqual([]);
  });
});
