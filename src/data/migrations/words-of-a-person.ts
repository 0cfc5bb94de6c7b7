import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Version 6: a person's words and signals are a table of their own. The cues of a dog move there, those of
 * its versions that wait for a decision too. What is called and made alike by what it says, so two devices
 * that migrate apart agree; of a cue that they had written differently both stay, and the list of words says
 * so. Whether staying is implied nobody could say until now.
 */
export const wordsOfAPerson: Migration = {
  to: 6,
  name: 'words of a person',
  migrate: (tables: AnyTables): AnyTables => {
    const dogs = (Array.isArray(tables.dogs) ? tables.dogs : []).filter(isRow);
    const waiting = (Array.isArray(tables.apart) ? tables.apart : []).filter(isRow).filter(isOfDog);
    const versions = waiting.flatMap((one) => recordsOf(one.versions));
    const signals = [...dogs, ...versions].flatMap(signalsOf);
    return {
      ...tables,
      dogs: eachRow(tables.dogs, withoutCues),
      signals: [...new Map(signals.map((one) => [one.id, one])).values()],
      apart: eachRow(tables.apart, (one) =>
        isOfDog(one) ? { ...one, versions: eachVersion(one.versions) } : one,
      ),
    };
  },
};

const isOfDog = (one: Loose): boolean => String(one.id).startsWith('dogs/');

const withoutCues = ({ cues: _cues, ...dog }: Loose): Loose => dog;

/** A version is `{ changed, record }`; of a removed one the record is null. */
const eachVersion = (versions: unknown): readonly unknown[] =>
  eachRow(versions, (one) => (isRow(one.record) ? { ...one, record: withoutCues(one.record) } : one));

const recordsOf = (versions: unknown): Loose[] =>
  (Array.isArray(versions) ? versions : []).flatMap((one: unknown) =>
    isRow(one) && isRow(one.record) ? [one.record] : [],
  );

function signalsOf({ id, cues }: Loose): Loose[] {
  return (Array.isArray(cues) ? cues : []).filter(isRow).map((cue) => {
    const said = hash(JSON.stringify([cue.word, cue.means]));
    return {
      id: `s-${String(id)}-${said}`,
      dogId: id,
      kind: 'cue',
      word: cue.word,
      means: cue.means,
      stays: null,
      elements: [],
      changed: { at: 0, by: 'v5', seen: { [`v5-${said}`]: 1 } },
    };
  });
}

/** 32-bit FNV-1a, in hexadecimal. */
function hash(text: string): string {
  let value = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193);
  return (value >>> 0).toString(16).padStart(8, '0');
}
