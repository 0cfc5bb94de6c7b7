import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

/** Files of the rooms and the frame, with what each calls of data/write. */
function* callsOfWrites(): Generator<{ readonly at: string; readonly before: string }> {
  for (const folder of ['src/features', 'src/app'])
    for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
      if (!/\.tsx?$/.test(name) || /\.test\.ts$/.test(name)) continue;
      const text = readFileSync(join(folder, name), 'utf8');
      const imported = /import \{([^}]*)\} from '@\/data\/write';/.exec(text)?.[1] ?? '';
      for (const write of imported.split(',').map((one) => one.trim()))
        if (/^[a-z]\w*$/.test(write))
          for (const call of text.matchAll(new RegExp(`\\b${write}\\(`, 'g')))
            yield { at: `${name}: ${write}`, before: text.slice(Math.max(0, call.index - 160), call.index) };
    }
}

/** What takes the result of a write, so that its failure is said: \`done\`, the pad's \`write\`, a name, a caller. */
const TAKEN =
  /((?:done|settle)\((?:'[^'\n]*'|[^;])*|write\(\(\) =>\s*|await\s+|return\s+|=>?\s*|\?\s*|:\s*)$/s;

it('no write is left unobserved: each gives its result to something that says a failure', () => {
  const calls = [...callsOfWrites()];
  expect(calls.length).toBeGreaterThan(30);
  expect(
    calls.filter(({ before }) => !TAKEN.test(before) || /void\s+$/.test(before)).map(({ at }) => at),
  ).toEqual([]);
});

it('and sees one that is', () => {
  expect(TAKEN.test('  void ')).toBe(false);
  expect(TAKEN.test('  if (ready)\n    ')).toBe(false);
  expect(TAKEN.test('  void done("Done.", ')).toBe(true);
});
