import { type ReadLine, type Rules, type SheetReading, smallestIn } from '@/core/rulebooks';
import { at, type Draft, insert, type Json, listAt, put, textAt, typed } from '../editor/draft';
import { freshId } from '../editor/ids';
import { MAIN_NUMBER } from '../editor/row-specs';
import { addExercise, addPart, blankDraft, missOf } from '../editor/starts';
import { QUANTITY_WORDS, SMALLEST } from '../editor/typed-values';

/** How the sheet says that it is scored: by coefficients or by points. */
export const familyOfSheet = (lines: readonly ReadLine[]): Rules['family'] =>
  lines.some((line) => line.readings.some((one) => one.is === 'exercise' && one.coefficient))
    ? 'weighted-marks'
    : 'points-off';

/** The table of a sheet as it was read. What a way of scoring has no place for is left out and named. */
export function draftFromSheet(
  lines: readonly ReadLine[],
  family: Rules['family'],
): { readonly draft: Draft; readonly left: readonly string[] } {
  const left: string[] = [];
  let draft = withStep(bare(family), lines);
  for (const line of lines)
    for (const reading of line.readings) {
      const next = taken(draft, reading, family);
      if (next) draft = next;
      else left.push(line.text.trim());
    }
  return { draft: listAt(draft, ['exercises']).length > 0 ? withPass(draft) : addExercise(draft, 0), left };
}

/** A blank book without a row. */
function bare(family: Rules['family']): Draft {
  const blank = blankDraft(family);
  return put(put(blank, ['exercises'], []), ['rules', 'exercises'], []);
}

function withStep(draft: Draft, lines: readonly ReadLine[]): Draft {
  const key = SMALLEST[textAt(draft, ['rules', 'family']) as Rules['family']];
  const half = smallestIn(lines.map((line) => line.text));
  return key === undefined ? draft : put(draft, ['rules', key], half);
}

/** The draft with one reading; null where the way of scoring has no place for it. */
function taken(draft: Draft, reading: SheetReading, family: Rules['family']): Draft | null {
  const e = listAt(draft, ['exercises']).length - 1;
  switch (reading.is) {
    case 'nothing':
    case 'total':
      return draft;
    case 'title':
      return put(draft, ['title'], [textAt(draft, ['title']), reading.text].filter(Boolean).join(', '));
    case 'edition':
      return put(draft, ['edition'], reading.text);
    case 'exercise':
      return exercise(draft, reading, family);
    case 'asks':
      return e < 0
        ? null
        : put(
            draft,
            ['exercises', e, 'text'],
            [textAt(draft, ['exercises', e, 'text']), reading.text].filter(Boolean).join(' '),
          );
    case 'part':
      return e < 0 ? null : part(draft, e, reading.text);
    case 'demand':
      return e < 0 ? null : demand(draft, e, reading);
    case 'fault':
      return e < 0 ? null : fault(draft, e, reading);
    case 'pass':
      return pass(draft, reading, family);
    case 'award':
      return award(draft, reading, family);
  }
}

type Of<K extends SheetReading['is']> = Extract<SheetReading, { readonly is: K }>;

function exercise(draft: Draft, { title, points }: Of<'exercise'>, family: Rules['family']): Draft {
  const e = listAt(draft, ['exercises']).length;
  const named = put(addExercise(draft, e), ['exercises', e, 'title'], title);
  const spec = MAIN_NUMBER[family];
  return spec && points !== null ? put(named, ['rules', 'exercises', e, ...spec.path], points) : named;
}

const lastPart = (draft: Draft, e: number): number => listAt(draft, ['exercises', e, 'parts']).length - 1;

/** The first part that is named is the one that the exercise has. */
function part(draft: Draft, e: number, title: string): Draft {
  const p = lastPart(draft, e);
  const first = p === 0 && textAt(draft, ['exercises', e, 'parts', 0, 'title']) === '';
  const next = first ? draft : addPart(draft, e, p + 1);
  return put(next, ['exercises', e, 'parts', first ? 0 : p + 1, 'title'], title);
}

function demand(draft: Draft, e: number, { demand: said }: Of<'demand'>): Draft {
  const path = ['exercises', e, 'parts', lastPart(draft, e), 'demands'];
  return insert(draft, path, {
    ...said,
    title: said.title || QUANTITY_WORDS[said.quantity],
    axis: freshId(draft),
  });
}

function fault(draft: Draft, e: number, reading: Of<'fault'>): Draft {
  const { title, cost, warnings, nth, by, miss } = reading;
  const owner = textAt(draft, ['exercises', e, 'parts', lastPart(draft, e), 'id']);
  const said = {
    title,
    cost: cost as unknown as Json,
    ...(warnings === undefined ? {} : { warnings }),
    ...(nth === undefined ? {} : { nth: { ...nth } }),
  };
  const faults = ['rules', 'exercises', e, 'faults'];
  if (miss) {
    const at_ = [...faults, missOf(draft, e, owner)];
    return put(draft, at_, { ...(at(draft, at_) as Draft), ...said });
  }
  const handlers = by === 'handler';
  return insert(draft, faults, {
    id: freshId(draft),
    ...said,
    part: handlers ? null : owner,
    by,
    miss: false,
    stops: false,
  });
}

/** A share of all in points is worked out when the exercises are known. */
function pass(draft: Draft, reading: Of<'pass'>, family: Rules['family']): Draft | null {
  if (family === 'points-off') {
    const condition: Json =
      reading.kind === 'each'
        ? { kind: 'share-of-each', percent: reading.percent }
        : { kind: 'total', atLeast: reading.percent ? { percent: reading.atLeast } : reading.atLeast };
    const before = listAt(draft, ['rules', 'pass']).filter(
      (one) =>
        textAt(one, ['atLeast']) !== '' ||
        textAt(one, ['kind']) !== 'total' ||
        at(one, ['atLeast', 'percent']) !== undefined,
    );
    return put(draft, ['rules', 'pass'], [...before, condition]);
  }
  if (reading.kind === 'each') return null;
  if (family === 'weighted-marks')
    return reading.percent ? put(draft, ['rules', 'pass', 'percent'], reading.atLeast) : null;
  if (reading.percent) return null;
  if (family === 'retrieves') return put(draft, ['rules', 'pass', 'atLeast'], reading.atLeast);
  if (family === 'time-and-faults') return put(draft, ['rules', 'pass', 'atMost'], reading.atLeast);
  return family === 'measured' ? put(draft, ['rules', 'pass', 'line'], reading.atLeast) : null;
}

const AWARD_KEY: Readonly<Partial<Record<Rules['family'], string>>> = {
  'points-off': 'atLeast',
  'weighted-marks': 'percent',
  abilities: 'atLeast',
  retrieves: 'atLeast',
  'time-and-faults': 'atMost',
  measured: 'line',
};

function award(
  draft: Draft,
  { title, from, percent, below }: Of<'award'>,
  family: Rules['family'],
): Draft | null {
  const key = AWARD_KEY[family];
  if (key === undefined || (percent && family !== 'weighted-marks' && family !== 'points-off')) return null;
  const value: Json = percent && family === 'points-off' ? { percent: from } : from;
  return insert(draft, ['rules', 'awards'], { title, [key]: value, ...(below ? { alsoBelow: true } : {}) });
}

/** Shares of all points as points, now that the exercises are known; where one has none yet it stays to be filled in. */
function withPass(draft: Draft): Draft {
  const maxima = listAt(draft, ['rules', 'exercises']).map((one) => at(one, ['maximum']));
  const known = maxima.every((one) => typeof one === 'number');
  const total = known ? (maxima as number[]).reduce((sum, one) => sum + one, 0) : null;
  const step = Number(textAt(draft, ['rules', 'smallestPoint'])) || 1;
  const pointsOf = (percent: number): Json =>
    total === null ? typed('') : Number((Math.ceil((total * percent) / 100 / step - 1e-9) * step).toFixed(4));
  const settle = (node: Json): Json => {
    const percent = at(node, ['atLeast', 'percent']);
    return typeof percent === 'number' ? put(node as Draft, ['atLeast'], pointsOf(percent)) : node;
  };
  return ['pass', 'awards'].reduce<Draft>((now, key) => {
    const list = at(now, ['rules', key]);
    return Array.isArray(list) ? put(now, ['rules', key], list.map(settle)) : now;
  }, draft);
}
