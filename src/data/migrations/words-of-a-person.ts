import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Version 6: a person's words and signals are a table of their own. The cues of a dog move there, each
 * with a version vector made of what it says: two devices that migrate apart agree, and a cue that they had
 * written differently waits for a decision. Whether staying is implied nobody could say until now.
 */
export const wordsOfAPerson: Migration = {
  to: 6,
  name: 'words of a person',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    dogs: eachRow(tables.dogs, withoutCues),
    signals: (Array.isArray(tables.dogs) ? tables.dogs : []).flatMap((dog: unknown) =>
      isRow(dog) ? signalsOf(dog) : [],
    ),
    apart: eachRow(tables.apart, (one) =>
      String(one.id).startsWith('dogs/') ? { ...one, versions: eachVersion(one.versions) } : one,
    ),
  }),
};

const withoutCues = ({ cues: _cues, ...dog }: Loose): Loose => dog;

/** A version is `{ changed, record }`; of a removed one the record is null. */
const eachVersion = (versions: unknown): readonly unknown[] =>
  eachRow(versions, (one) => (isRow(one.record) ? { ...one, record: withoutCues(one.record) } : one));

function signalsOf({ id, cues }: Loose): Loose[] {
  return (Array.isArray(cues) ? cues : []).flatMap((cue: unknown, i) =>
    isRow(cue)
      ? [
          {
            id: `s-${String(id)}-${i + 1}`,
            dogId: id,
            kind: 'cue',
            word: cue.word,
            means: cue.means,
            stays: null,
            elements: [],
            changed: { at: 0, by: 'v5', seen: { [`v5-${hash(JSON.stringify([cue.word, cue.means]))}`]: 1 } },
          },
        ]
      : [],
  );
}

/** 32-bit FNV-1a, in hexadecimal. */
function hash(text: string): string {
  let value = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193);
  return (value >>> 0).toString(16).padStart(8, '0');
}
