import { readFileSync, writeFileSync } from 'node:fs';
import { toJsonSchema } from '@valibot/to-json-schema';
import { expect, it } from 'vitest';
import { ruleBookSchema } from '@/core/rulebooks';

const FILE = 'docs/formats/rule-book.schema.json';

/**
 * The published schema is made from the one that reads files: `npm run schema` writes it, and this
 * test finds it stale.
 */
it('the JSON Schema of the rule-book file is the one that reads it', () => {
  const schema = toJsonSchema(ruleBookSchema, { errorMode: 'ignore', typeMode: 'input' });
  const text = `${JSON.stringify({ title: 'Regulon rule book, version 3', ...schema }, null, 1)}\n`;
  if (process.env.UPDATE_SCHEMA) writeFileSync(FILE, text);
  expect(readFileSync(FILE, 'utf8')).toBe(text);
  expect(text).toContain('"time-and-faults"');
});
