import { createIntl } from 'react-intl';
import { describe, expect, it } from 'vitest';
import { askedIn, bareIn, cataloguesOf, filesOf, wantedBy } from './catalogue';

const FOLDERS = ['core', 'data', 'workers', 'words', 'ui', 'features', 'app'];
const files = FOLDERS.flatMap((folder) => filesOf(`src/${folder}`));
const asked = files.flatMap((file) => askedIn(file));
const catalogues = cataloguesOf('en');
const all: Readonly<Record<string, string>> = Object.assign({}, ...catalogues.values());

describe('the catalogue of words', () => {
  it('has no key twice', () => {
    const keys = [...catalogues.values()].flatMap((one) => Object.keys(one));
    expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([]);
    expect(keys.length).toBeGreaterThan(1000);
  });

  it('has every message that is asked for', () => {
    expect(asked.length).toBeGreaterThan(1000);
    expect(asked.filter(({ key }) => all[key] === undefined)).toEqual([]);
  });

  it('has none that nobody asks for', () => {
    const wanted = new Set(asked.map(({ key }) => key));
    expect(Object.keys(all).filter((key) => !wanted.has(key))).toEqual([]);
  });

  it('is given every value that a message wants, and no other', () => {
    const wrong = asked.flatMap(({ file, key, names }) => {
      const wants = wantedBy(all[key] ?? '');
      const fits =
        names === null || (names.length === wants.length && names.every((name) => wants.includes(name)));
      return fits ? [] : [{ file, key, names, wants }];
    });
    expect(wrong).toEqual([]);
  });

  it('is written so that every message can be told', () => {
    const failing = Object.entries(all).flatMap(([id, message]) => {
      const intl = createIntl({
        locale: 'en',
        messages: { [id]: message },
        onError: (error) => {
          throw error;
        },
      });
      try {
        intl.formatMessage({ id }, Object.fromEntries(wantedBy(message).map((name) => [name, 1])), {
          ignoreTag: true,
        });
        return [];
      } catch {
        return [id];
      }
    });
    expect(failing).toEqual([]);
  });

  it('is where every word of a view comes from', () => {
    const views = ['ui', 'features', 'app'].flatMap((folder) => filesOf(`src/${folder}`));
    expect(views.flatMap((file) => bareIn(file))).toEqual([]);
  });
});

describe('the check itself', () => {
  it('sees a bare word between tags, in an attribute and as the words of a choice', () => {
    const code = `const a = <p title="Give">Hold {still}</p>; const b = { words: 'left' }; const c = <p className="two words">·</p>;`;
    expect(bareIn('a.tsx', code).map(({ words }) => words)).toEqual(['Give', 'Hold', 'left']);
  });

  it('sees what a message is asked for with, and what it wants', () => {
    expect(
      askedIn('a.ts', "say('a.b', { n: 1, name }); tell('c'); other('d'); say('e', { ...more });"),
    ).toEqual([
      { file: 'a.ts', key: 'a.b', names: ['n', 'name'] },
      { file: 'a.ts', key: 'c', names: [] },
      { file: 'a.ts', key: 'e', names: null },
    ]);
    expect(
      wantedBy('{n, plural, one {# rep} other {# reps}} of {name}, {on, select, true {on} other {}}'),
    ).toEqual(['n', 'name', 'on']);
  });
});
