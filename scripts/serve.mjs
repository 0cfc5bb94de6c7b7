import { parseArgs } from 'node:util';
import { ensurePackages, run } from './setup.mjs';

/**
 * Builds the application and serves it at a local address: `--kennel sample` opens on the sample
 * kennel, `own` on the person's own.
 */
const { values } = parseArgs({ options: { kennel: { type: 'string', default: 'own' } } });
const port = Number(process.env.PORT ?? 4180);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`PORT is “${process.env.PORT}”; it must be a number from 1 to 65535.`);
  process.exit(1);
}
ensurePackages();
const vite = ['node_modules/vite/bin/vite.js'];
run('node', [...vite, 'build', '--logLevel', 'warn']);
console.log(
  `\n  Regulon (${values.kennel === 'sample' ? 'sample kennel' : 'your own kennel'}): http://localhost:${port}/\n  Stop it with Ctrl+C.\n`,
);
run('node', [...vite, 'preview', '--port', String(port), '--logLevel', 'error'], {
  env: { ...process.env, REGULON_KENNEL: values.kennel },
});
