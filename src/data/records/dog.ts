import * as v from 'valibot';
import { VET_TOPICS, type VetTopic } from '@/core/planning';
import type { DogId } from '@/core/shared';
import { dayField, idField } from './fields';

/**
 * Version 1: name, breed in the person's own words, birth day where known. Version 2: build, the better side, rewards in their order, cues, and
 * what the vet said. What nobody has written down is null or empty; nothing is assumed for it.
 */
export const dogSchema = v.strictObject({
  id: idField<DogId>(),
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'A dog needs a name.'), v.maxLength(60)),
  breed: v.string(),
  born: v.nullable(dayField),
  size: v.nullable(v.picklist(['small', 'medium', 'large', 'giant'])),
  shortNosed: v.nullable(v.boolean()),
  betterSide: v.nullable(v.picklist(['left', 'right', 'neither'])),
  /** Best first. */
  rewards: v.array(v.pipe(v.string(), v.trim(), v.minLength(1))),
  cues: v.array(v.strictObject({ word: v.pipe(v.string(), v.trim(), v.minLength(1)), means: v.string() })),
  vet: v.array(
    v.strictObject({ about: v.picklist(Object.keys(VET_TOPICS) as [VetTopic, ...VetTopic[]]), said: v.pipe(v.string(), v.trim(), v.minLength(1)) }),
  ),
});
export type Dog = v.InferOutput<typeof dogSchema>;

/** A dog of which only the name is known. */
export const UNKNOWN_DOG = { breed: '', born: null, size: null, shortNosed: null, betterSide: null, rewards: [], cues: [], vet: [] } satisfies Omit<
  Dog,
  'id' | 'name'
>;
