import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium, ensurePackages } from './setup.mjs';

/**
 * Plays every practice in the browser, by taps alone, and prints what each took and what the pages concluded,
 * as a table. A practice whose walk did not come to its end is said to be one.
 */
ensurePackages();
const chromium = ensureChromium();
const lines = mkdtempSync(join(tmpdir(), 'regulon-walk-'));
const env = { ...process.env, WALK_LINES: lines, ...(chromium ? { CHROMIUM_PATH: chromium } : {}) };
const run = (command, ...args) =>
  spawnSync('npx', [command, ...args], { stdio: 'inherit', env }).status === 0;
if (!run('vite', 'build', '--logLevel', 'error')) process.exit(1);
const all = run('playwright', 'test', 'walks.spec.ts', '--reporter=list');

console.log('\n| | practice | actions | goes | taps per go | before the first go | concluded |');
console.log('|--:|---|--:|--:|--:|---|---|');
for (const file of readdirSync(lines).sort()) {
  const walked = JSON.parse(readFileSync(join(lines, file), 'utf8'));
  const perGo = (walked.padTaps / walked.goes).toFixed(1);
  const before = `${walked.before} actions, ${walked.seconds.toFixed(0)} s`;
  const concluded = walked.concluded.map((one) => one.replaceAll('|', '/')).join(' · ');
  console.log(
    `| ${Number.parseInt(file, 10)} | ${walked.practice} | ${walked.actions} | ${walked.goes} | ${perGo} | ${before} | ${concluded} |`,
  );
}
if (!all) {
  console.log('\nNot all came to their end: see above.');
  process.exit(1);
}
