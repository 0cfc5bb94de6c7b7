import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium, ensurePackages } from './setup.mjs';

/**
 * Everything that must hold, in the order of what fails fastest: types, lint with import rules,
 * unused code, the share of tests, unit tests, build, browser tests. A later step runs even when an
 * earlier one failed, so that one run tells all. Ends with one line: N passed, N failed.
 */
ensurePackages();
const chromium = ensureChromium();
const reports = mkdtempSync(join(tmpdir(), 'regulon-test-'));
const unitReport = join(reports, 'unit.json');
const browserReport = join(reports, 'browser.json');

let passed = 0;
let failed = 0;

function step(name, command, args, env = {}) {
  console.log(`\n— ${name}`);
  const done = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  return done.status === 0;
}

/** A step that is one check: it passes or fails as a whole. */
function check(name, command, args) {
  if (step(name, command, args)) passed++;
  else failed++;
}

/** A step that counts its own tests; a crash before any count is one failure. */
function suite(name, command, args, env, count) {
  const ok = step(name, command, args, env);
  let counts = { passed: 0, failed: 0 };
  try {
    counts = count();
  } catch {
    counts = { passed: 0, failed: 1 };
  }
  passed += counts.passed;
  failed += counts.failed;
  if ((!ok && counts.failed === 0) || counts.passed + counts.failed === 0) failed++;
}

/** A quarter to a third of all lines. */
const FLOOR_OF_SHARE = 0.25;

/** Test lines ÷ all TypeScript lines, blank ones aside. Studies and benchmarks are no tests. */
function shareOfTests() {
  const lines = { test: 0, all: 0 };
  for (const folder of ['src', 'e2e', 'checks', 'studies'])
    for (const file of readdirSync(folder, { recursive: true })) {
      if (!/\.tsx?$/.test(file)) continue;
      const text = readFileSync(join(folder, file), 'utf8').split('\n');
      const count = text.filter((line) => line.trim() !== '').length;
      lines.all += count;
      if (['e2e', 'checks'].includes(folder) || /\.(test|test-helper)\.ts$/.test(file)) lines.test += count;
    }
  const share = lines.test / lines.all;
  const meant = share >= 0.25 && share <= 0.33 ? 'as meant' : 'meant are .25 to .33';
  console.log(
    `\n— share of tests\n${lines.test} of ${lines.all} lines are tests: ${share.toFixed(3)}, ${meant}`,
  );
  if (share >= FLOOR_OF_SHARE && share <= 0.33) passed++;
  else failed++;
}

/** Browser tests that did not pass at once, each with the page as it stood, so that it can be mended. */
function sayUnsteady(suites) {
  for (const { specs = [], suites: inner = [] } of suites) {
    for (const { title, tests } of specs)
      for (const { status, results } of tests) {
        if (status !== 'flaky' && status !== 'unexpected') continue;
        console.log(`\n${status === 'flaky' ? 'passed at the second try' : 'failed'}: ${title}`);
        for (const { errors, attachments } of results.filter((one) => one.status !== 'passed')) {
          for (const { message } of errors) console.log(message);
          for (const { name, path } of attachments)
            if (name === 'error-context' && path) console.log(readFileSync(path, 'utf8').slice(0, 12_000));
        }
      }
    sayUnsteady(inner);
  }
}

const bin = (name) => `node_modules/.bin/${name}`;
check('types', bin('tsc'), ['-p', 'tsconfig.json']);
check('types of core, without the browser', bin('tsc'), ['-p', 'tsconfig.core.json']);
check('types of scripts and tests', bin('tsc'), ['-p', 'tsconfig.node.json']);
check('lint and import rules', bin('biome'), ['check', '--error-on-warnings', '.']);
check('unused code', bin('knip'), []);
check('code that only tests call', bin('knip'), ['--production']);
shareOfTests();
suite(
  'unit tests',
  bin('vitest'),
  ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unitReport}`],
  {},
  () => {
    const report = JSON.parse(readFileSync(unitReport, 'utf8'));
    return { passed: report.numPassedTests, failed: report.numFailedTests + report.numPendingTests };
  },
);
check('build', bin('vite'), ['build', '--logLevel', 'warn']);
suite(
  'browser tests',
  bin('playwright'),
  ['test'],
  { CHROMIUM_PATH: chromium, PLAYWRIGHT_JSON_OUTPUT_FILE: browserReport },
  () => {
    const { stats, suites } = JSON.parse(readFileSync(browserReport, 'utf8'));
    sayUnsteady(suites);
    return { passed: stats.expected + stats.flaky, failed: stats.unexpected + stats.skipped };
  },
);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
