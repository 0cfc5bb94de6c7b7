import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium, ensurePackages } from './setup.mjs';

/**
 * Plays a season in the browser, from the first rep to the autumn trial, with a simulated dog answering, and prints
 * its table: what each stretch took, what the pages concluded, and whether that was true of the dog. Takes about a
 * quarter of an hour.
 */
ensurePackages();
const chromium = ensureChromium();
const rows = join(mkdtempSync(join(tmpdir(), 'regulon-season-')), 'rows.json');
const env = { ...process.env, SEASON_ROWS: rows, ...(chromium ? { CHROMIUM_PATH: chromium } : {}) };
const run = (command, ...args) =>
  spawnSync('npx', [command, ...args], { stdio: 'inherit', env }).status === 0;
if (!run('vite', 'build', '--logLevel', 'error')) process.exit(1);
const whole = run('playwright', 'test', 'whole-season.spec.ts', '--retries=0', '--reporter=list');

if (existsSync(rows)) {
  console.log('\n| day | what | actions | s | concluded | true of the dog |');
  console.log('|---|---|--:|--:|---|---|');
  for (const one of JSON.parse(readFileSync(rows, 'utf8'))) {
    const isTrue = one.isTrue === null ? '–' : one.isTrue ? 'yes' : 'no';
    console.log(
      `| ${one.day} | ${one.what} | ${one.actions} | ${one.seconds} | ${one.concluded.replaceAll('|', '/')} | ${isTrue} |`,
    );
  }
}
if (!whole) {
  console.log('\nThe season did not come to its end: see above.');
  process.exit(1);
}
