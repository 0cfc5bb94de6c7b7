import * as v from 'valibot';
import { LOADS, VET_TOPICS, type VetTopic } from '@/core/planning';
import { type DogId, type PersonId, schemaSays } from '@/core/shared';
import { changedSchema, dayField, finiteField, idField, words } from './fields';

/**
 * Version 1: name, breed in the person's own words, birth day where known. Version 2: build, the
 * better side, rewards in their order, cues, and what the vet said. What nobody has written down is
 * null or empty; nothing is assumed for it. Version 4: the person's own order, put away, who usually
 * handles it, its limits by load, and whether it is off work. Version 6: cues are signals of their own.
 * Version 8: its height.
 */
export const dogSchema = v.strictObject({
  id: idField<DogId>(),
  name: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, schemaSays('data.dog.a-dog-needs-a-name')),
    v.maxLength(60),
  ),
  breed: v.string(),
  born: v.nullable(dayField),
  size: v.nullable(v.picklist(['small', 'medium', 'large', 'giant'])),
  /** At the withers, metres. */
  height: v.nullable(v.pipe(finiteField, v.gtValue(0), v.maxValue(1.5))),
  shortNosed: v.nullable(v.boolean()),
  betterSide: v.nullable(v.picklist(['left', 'right', 'neither'])),
  /** Best first. */
  rewards: v.array(v.pipe(v.string(), v.trim(), v.minLength(1))),
  vet: v.array(
    v.strictObject({
      about: v.picklist(Object.keys(VET_TOPICS) as [VetTopic, ...VetTopic[]]),
      said: v.pipe(v.string(), v.trim(), v.minLength(1)),
    }),
  ),
  /** Place among the dogs of the kennel, smallest first. */
  order: finiteField,
  putAway: v.boolean(),
  usualHandler: v.nullable(idField<PersonId>()),
  limits: v.array(
    v.strictObject({
      of: v.picklist(LOADS),
      per: v.picklist(['day', 'week']),
      most: v.pipe(finiteField, v.minValue(0)),
      source: words,
    }),
  ),
  /** Hurt, operated, in season, in whelp: until somebody says otherwise, or until a day. */
  offWork: v.nullable(
    v.strictObject({ since: dayField, until: v.nullable(dayField), why: v.string(), vet: v.string() }),
  ),
  changed: changedSchema,
});
export type Dog = v.InferOutput<typeof dogSchema>;

/** A dog of which only the name is known. */
export const UNKNOWN_DOG = {
  breed: '',
  born: null,
  size: null,
  height: null,
  shortNosed: null,
  betterSide: null,
  rewards: [],
  vet: [],
  order: 0,
  putAway: false,
  usualHandler: null,
  limits: [],
  offWork: null,
} satisfies Omit<Dog, 'id' | 'name' | 'changed'>;
