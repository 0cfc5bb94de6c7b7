import { readFileSync } from 'node:fs';

export type Loose = { readonly tables: Record<string, Record<string, unknown>[]> };
export const savedBy = (version: number): Loose =>
  JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8')) as Loose;
