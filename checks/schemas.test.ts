import { readFileSync, writeFileSync } from 'node:fs';
import { toJsonSchema } from '@valibot/to-json-schema';
import { Ajv } from 'ajv';
import { expect, it } from 'vitest';
import { ruleBookSchema } from '@/core/rulebooks';
import { envelopeOf } from '@/data/files/kennel-file';
import { CURRENT_VERSION } from '@/data/migrations';
import { tablesSchema } from '@/data/records/tables';

/**
 * A published schema is made from the one that reads files: `npm run schema` writes it, and this test finds it
 * stale.
 */
function published(file: string, title: string, schema: Parameters<typeof toJsonSchema>[0]): string {
  const made = toJsonSchema(schema, { errorMode: 'ignore', typeMode: 'input' });
  const text = `${JSON.stringify({ title, ...made }, null, 1)}\n`;
  if (process.env.UPDATE_SCHEMA) writeFileSync(file, text);
  expect(readFileSync(file, 'utf8') === text, `${file} is stale: npm run schema`).toBe(true);
  return text;
}

it('the JSON Schema of the rule-book file is the one that reads it', () => {
  const text = published(
    'docs/formats/rule-book.schema.json',
    'Regulon rule book, version 3',
    ruleBookSchema,
  );
  expect(text).toContain('"time-and-faults"');
});

it('the JSON Schema of the kennel file is the one that reads it, and fits what is saved', () => {
  const text = published(
    'docs/formats/kennel-file.schema.json',
    `Regulon kennel, version ${CURRENT_VERSION}`,
    envelopeOf(tablesSchema),
  );
  const fits = new Ajv({ strict: false }).compile(JSON.parse(text));
  const saved = JSON.parse(readFileSync(`src/data/fixtures/kennel-v${CURRENT_VERSION}.json`, 'utf8'));
  expect([fits(saved), fits.errors]).toEqual([true, null]);
  saved.tables.dogs[0].name = 7;
  expect(fits(saved)).toBe(false);
});
