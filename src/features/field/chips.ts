import type { Criteria } from '@/core/breakdown';
import { nextDrawn, tossed } from '@/core/coaching';
import {
  ACTION_CHIP,
  HANDLER_ACTIONS,
  HANDLER_CHIP,
  PLACE_CHIP,
  type StandingRep,
  TOSS_CHIP,
  VALUES_CHIP,
  WORD_CHIP,
  WORN_CHIP,
} from '@/core/log';
import { seedFromText } from '@/core/shared';
import type { DatedBout, ElementRecord } from '@/data/read';
import { tell } from './words';

/** What changes from rep to rep, in one tap; `value` is the last one said, or how the day began. */
export type ChipRow = {
  readonly key: string;
  readonly title: string;
  readonly options: readonly { readonly value: string; readonly words: string }[];
  readonly value: string | null;
  /** Whether the element or its method names it; place and handler are everybody's, and fold away. */
  readonly named: boolean;
  /** Of a fair trial: what was tossed for this rep. */
  readonly toss?: string;
  /** Of a row whose next one is proposed: what it was last time. */
  readonly before?: string;
};

/** So many rows show; the others open in place. */
export const ROWS_SHOWN = 2;

const ACTION_WORDS: Readonly<Record<string, string>> = {
  stood: tell('chips.stood'),
  'walked-off': tell('chips.walked-off'),
  'came-back': tell('chips.came-back'),
  'out-of-sight': tell('chips.went-out-of-sight'),
  'false-move': tell('chips.made-a-false-move'),
};

/** What the handler did, as a person reads it; an element's own words stand as they are. */
const actionInWords = (did: string): string => ACTION_WORDS[did] ?? did;

const same = (words: readonly string[]): ChipRow['options'] =>
  words.map((value) => ({ value, words: value }));

/** What the next of a drawn row hangs on: its bout, how many reps there are, what was said last and since. */
type Drawn = {
  readonly bout: string;
  readonly reps: number;
  readonly last: Readonly<Record<string, string>>;
  readonly tapped: Readonly<Record<string, string>>;
};
const NOTHING_DRAWN: Drawn = { bout: '', reps: 0, last: {}, tapped: {} };

/**
 * The rows of an element: its own conditions first (side, way in, facing), then what you do where it
 * waits or holds, the word where there are several, the place, who handles it. What was said last stays.
 */
export function chipRows(
  element: ElementRecord,
  bout: Pick<DatedBout, 'conditions' | 'away'>,
  criteria: Criteria,
  held: boolean,
  said: Readonly<Record<string, string>>,
  words: readonly string[],
  drawn: Drawn = NOTHING_DRAWN,
): ChipRow[] {
  const action = element.axes.find((axis) => axis.key === ACTION_CHIP && axis.levels !== null);
  const asked = action?.levels?.find((level) => level.id === criteria[action.key])?.name ?? null;
  const handler: ChipRow = {
    key: HANDLER_CHIP,
    title: tell('chips.who-handles-it'),
    options: [
      { value: 'you', words: tell('chips.you-2') },
      { value: 'another', words: tell('chips.somebody-else') },
    ],
    value: said[HANDLER_CHIP] ?? null,
    // A method that names it has it at hand; the key is everybody's, by which the evidence knows it.
    named: element.conditions.some(isHandler),
  };
  const rows = element.conditions.map((condition): ChipRow => {
    if (isHandler(condition)) return handler;
    const { title, options } = condition;
    const row = { key: title, title, options: same(options), named: true };
    const [one, other, ...more] = options;
    if (condition.tossed === true && one && other && more.length === 0 && drawn.bout) {
      const toss = tossed([one, other], seedFromText(`${drawn.bout} ${title}`), drawn.reps);
      return { ...row, title: tell('chips.tossed', { title }), value: drawn.tapped[title] ?? toss, toss };
    }
    if (condition.seen === true)
      return { ...row, value: drawn.bout ? (drawn.tapped[title] ?? null) : (said[title] ?? null) };
    if (condition.drawn !== true || !drawn.bout)
      return { ...row, value: said[title] ?? bout.conditions[title] ?? null };
    const before = drawn.last[title];
    const seed = seedFromText(`${drawn.bout} ${title}`);
    return {
      ...row,
      value: drawn.tapped[title] ?? nextDrawn(options, seed, drawn.reps, before ?? null),
      ...(before === undefined ? {} : { before }),
    };
  });
  if (action?.levels || held) {
    const you: ChipRow = {
      key: ACTION_CHIP,
      title: tell('chips.you'),
      options: action?.levels
        ? same(action.levels.map((level) => level.name))
        : HANDLER_ACTIONS.map((did) => ({ value: did, words: actionInWords(did) })),
      value: said[ACTION_CHIP] ?? asked,
      // Where you go away from it or have a list of what you do; a hold in the mouth asks neither.
      named: action !== undefined || element.axes.some((axis) => axis.quantity === 'distance'),
    };
    // Where the list of what you do is what is asked, it is the first to be said.
    if (action) rows.unshift(you);
    else rows.push(you);
  }
  if (words.length > 1)
    rows.push({
      key: WORD_CHIP,
      title: tell('chips.word'),
      options: same(words),
      value: said[WORD_CHIP] ?? null,
      named: true,
    });
  rows.push({
    key: PLACE_CHIP,
    title: tell('chips.place'),
    options: [
      { value: 'usual', words: tell('chips.usual') },
      { value: 'away', words: tell('chips.strange') },
    ],
    value: said[PLACE_CHIP] ?? (bout.away ? 'away' : 'usual'),
    named: false,
  });
  const everybodys = (key: string, title: string, options: ChipRow['options']): void => {
    rows.push({ key, title, options, value: said[key] ?? null, named: false });
  };
  if (!handler.named) rows.push(handler);
  everybodys(WORN_CHIP, tell('chips.what-it-wears'), [
    { value: 'usual', words: tell('chips.as-usual') },
    { value: 'other', words: tell('chips.other-kit') },
  ]);
  return rows;
}

/** The condition of a method that says who handles the dog: the same for all of them, and on the card no other. */
export const isHandler = ({ title }: { readonly title: string }): boolean => /^who handles it$/i.test(title);

/** A whole run asks its links for what the dog does now, or for all that the trial asks. */
export const valuesRow = (said: Readonly<Record<string, string>>): ChipRow => ({
  key: VALUES_CHIP,
  title: tell('chips.links-at'),
  options: [
    { value: 'now', words: tell('chips.what-it-does-now') },
    { value: 'trial', words: tell('chips.as-the-trial-asks') },
  ],
  value: said[VALUES_CHIP] ?? 'now',
  named: true,
});

/** What goes into the rep: all that is said, the place only where it is not as the day began. */
export function chipsSaid(
  rows: readonly ChipRow[],
  bout: Pick<DatedBout, 'away' | 'conditions'>,
): Record<string, string> {
  const usual = bout.away ? 'away' : 'usual';
  return Object.fromEntries(
    rows.flatMap(({ key, value, toss }) =>
      value === null ||
      (toss === undefined && (key === PLACE_CHIP ? value === usual : bout.conditions[key] === value))
        ? []
        : [[key, value], ...(toss === value ? [[TOSS_CHIP + key, value]] : [])],
    ),
  );
}

/** What was said of a rep by its chips, in the words of their rows: "you walked off", "side left hand". */
export function chipsInWords(
  element: ElementRecord,
  bout: Pick<DatedBout, 'conditions' | 'away'>,
  { asked }: Pick<StandingRep, 'asked'>,
): string[] {
  const rows = chipRows(element, bout, asked.criteria, true, asked.chips, []);
  const said = Object.entries(asked.chips).filter(([key]) => !key.startsWith(TOSS_CHIP));
  return said.map(([key, value]) => {
    const row = rows.find((one) => one.key === key);
    const words = row?.options.find((one) => one.value === value)?.words ?? value;
    return `${(row?.title ?? CHIP_TITLES[key] ?? key).toLowerCase()} ${words}`;
  });
}
const CHIP_TITLES: Readonly<Record<string, string>> = {
  [WORD_CHIP]: tell('chips.word'),
  [VALUES_CHIP]: tell('chips.links-at'),
};

/** What a dog can take for another: a side, a hand, a spot, a word; not the ground, nor who handles it. */
const TAKEN_FOR_ANOTHER = /^(side|hand|spot|direction|way|word|place of it)\b/i;

/** What it may have done instead: the other options of the rows that were asked. */
export const othersOf = (chips: readonly ChipRow[], rep: Pick<StandingRep, 'asked'>): string[] =>
  chips
    .filter(({ key }) => TAKEN_FOR_ANOTHER.test(key) && rep.asked.chips[key] !== undefined)
    .flatMap(({ key, options }) =>
      options.map((one) => one.value).filter((value) => value !== rep.asked.chips[key]),
    );
