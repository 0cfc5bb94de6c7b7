import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const STAMP = 'node_modules/.regulon-lock';

/** Runs a command and shows what it says; ends the program when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: 'inherit', ...options });
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** Installs the packages of the lock file, unless these very ones are there already. */
export function ensurePackages() {
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  console.log('Installing packages from the lock file …');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(STAMP, lock);
}

const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/**
 * The path of Debian's Chromium, installed through apt where that is allowed; otherwise a plain
 * sentence and the end.
 */
export function ensureChromium() {
  const found = () =>
    [process.env.CHROMIUM_PATH ?? '', ...CHROMIUM].find((path) => path !== '' && existsSync(path));
  if (found()) return found();
  const apt = spawnSync('apt-get', ['--version'], { stdio: 'ignore' });
  if (apt.status === 0 && process.getuid?.() === 0) {
    console.log('Installing Chromium for the browser tests through apt …');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('apt-get', ['update', '-qq'], { stdio: 'inherit', env });
    spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env,
    });
  }
  if (found()) return found();
  console.error(
    'The browser tests need Chromium. Install it with: sudo apt-get install chromium — or set CHROMIUM_PATH to one that is there.',
  );
  process.exit(1);
}
