import { type Crooked, HANDLED, PLACE_CHIP, PURPOSES, type StandingRep } from '@/core/log';
import { othersOf } from './chips';
import { tell } from './later-words';
import type { PadView } from './pad-view';
import { AID_WORDS, HANDLED_WORDS, TIMING_WORDS, TIMINGS } from './rep-words';
import { kindRow, LANDED, MARKER, PAY, PIECES, UNASKED, WHEN } from './reward-rows';
import { type Row, row } from './row-said';
import { changeOf } from './said-again';

const CROOKED = row<Crooked>(
  tell('detail-rows.crooked'),
  (rep) => rep.seen.eye,
  (eye) => ({ seen: { eye } }),
  [
    ['badly-left', tell('detail-rows.badly-left')],
    ['slightly-left', tell('detail-rows.left')],
    ['straight', tell('detail-rows.straight')],
    ['slightly-right', tell('detail-rows.right')],
    ['badly-right', tell('detail-rows.badly-right')],
  ],
);
type Judges = Pick<PadView, 'judging' | 'by'>;

/** When the answer came, how far it went, what it touched and brought: said otherwise, and judged again. */
const timingRow = (view: Judges): Row =>
  row(
    tell('detail-rows.the-answer-came'),
    (rep) => rep.seen.timing,
    (timing, rep) => (timing === null ? {} : changeOf(view, rep, { tap: 'timing-again', timing })),
    TIMINGS.map((timing) => [timing, TIMING_WORDS[timing]] as const),
  );
const gradeRow = (view: Judges): Row =>
  row(
    tell('detail-rows.how-far-it-went'),
    (rep) => rep.seen.grade,
    (grade, rep) => changeOf(view, rep, { tap: 'grade-again', grade }),
    view.by.kind === 'graded' ? view.by.grades.map(({ id, name }) => [id, name] as const) : [],
  );
function runRows(view: Judges, rep: StandingRep): Row[] {
  const { run } = rep.seen;
  if (run?.kind !== 'articles') return [];
  const places = run.laid.map(
    (name, place) => [place, `${name}${place === run.target ? tell('detail-rows.right-2') : ''}`] as const,
  );
  const none = [null, tell('detail-rows.none')] as const;
  const of = (one: StandingRep) => (one.seen.run?.kind === 'articles' ? one.seen.run : run);
  return [
    row<number | null>(
      tell('detail-rows.it-touched-first'),
      (one) => of(one).firstTouch,
      (firstTouch, one) => changeOf(view, one, { tap: 'run-again', run: { firstTouch } }),
      [...places, none],
    ),
    row<number | null>(
      tell('detail-rows.it-brought'),
      (one) => of(one).pick,
      (pick, one) => changeOf(view, one, { tap: 'run-again', run: { pick } }),
      [...places, none],
    ),
    row<boolean>(
      tell('detail-rows.you-knew-the-layout'),
      (one) => of(one).known,
      (known, one) => changeOf(view, one, { tap: 'run-again', run: { known } }),
      [
        [true, tell('detail-rows.yes')],
        [false, tell('detail-rows.no')],
      ],
    ),
    row<boolean>(
      tell('detail-rows.the-dog-watched'),
      (one) => of(one).seen,
      (seen, one) => changeOf(view, one, { tap: 'run-again', run: { seen } }),
      [
        [true, tell('detail-rows.yes')],
        [false, tell('detail-rows.no')],
      ],
    ),
  ];
}

/** What was said of this rep before it, to be put right. */
const chipRow = ({ key, title, options }: PadView['chips'][number], began: PadView['began']): Row =>
  row<string>(
    title,
    (rep) => rep.asked.chips[key] ?? usually(key, began),
    (value) => ({ asked: { chips: { [key]: value } } }),
    options.map(({ value, words }) => [value, words] as const),
  );
/** What holds of a rep of which nothing else was said. */
const usually = (key: string, { away, conditions }: PadView['began']): string | undefined =>
  key === PLACE_CHIP ? (away ? 'away' : 'usual') : conditions[key];
const HANDLED_ROW = row(
  tell('detail-rows.what-you-did-about-it'),
  (rep) => rep.seen.handled,
  (handled) => ({ seen: { handled } }),
  HANDLED.map((handled) => [handled, HANDLED_WORDS[handled]] as const),
);
const aidRows = (judging: Judges): Row => ({
  title: tell('detail-rows.help'),
  said: () => undefined,
  isOn: (rep, value) => rep.judged.aids.some((aid) => aid === value),
  options: Object.entries(AID_WORDS).map(([aid, words]) => ({
    value: aid,
    words,
    amend: (rep) => changeOf(judging, rep, { tap: 'aid', aid: aid as keyof typeof AID_WORDS }),
  })),
});
/** What it did instead: another word of the dog's, another option of a row. */
const insteadRow = (options: readonly string[]): Row =>
  row<string>(
    tell('detail-rows.it-did-instead'),
    (rep) => rep.seen.instead,
    (instead) => ({ seen: { instead } }),
    options.map((one) => [one, one] as const),
  );
const CALMNESS = [
  [0, tell('detail-rows.fights-it')],
  [1, tell('detail-rows.tense')],
  [3, tell('detail-rows.bears-it')],
  [5, tell('detail-rows.calm')],
] as const;
const calmAt = (title: string, moment: 'on' | 'worn' | 'off'): Row =>
  row(
    title,
    (rep) => rep.seen.calm?.[moment],
    (calm) => ({ seen: { calm: { [moment]: calm } } }),
    CALMNESS,
  );

/** The same at all three moments, in one tap. */
export const CALM_THROUGHOUT: Row = row(
  tell('detail-rows.calm-2'),
  ({ seen: { calm } }) => (calm?.on === calm?.worn && calm?.worn === calm?.off ? calm?.on : undefined),
  (calm) => ({ seen: { calm: { on: calm, worn: calm, off: calm } } }),
  CALMNESS,
);
const CALM = [
  CALM_THROUGHOUT,
  calmAt(tell('detail-rows.as-it-was-put-on'), 'on'),
  calmAt(tell('detail-rows.while-it-was-worn'), 'worn'),
  calmAt(tell('detail-rows.after-it-came-off'), 'off'),
];
/** Cues beyond the first, by why: each kind is a row of its own, and the judgement follows. */
const cuesRow = (title: string, why: 'needed' | 'slip' | 'meant', judging: Judges): Row =>
  row(
    title,
    ({ seen }) => (seen.cues ? (seen.cues[why] ?? 0) : undefined),
    (count, rep) => changeOf(judging, rep, { tap: 'cues', why, count }),
    [
      [0, tell('detail-rows.none')],
      [1, '1'],
      [2, '2'],
      [3, '3'],
    ],
  );
const PURPOSE_WORDS: Readonly<Record<(typeof PURPOSES)[number], string>> = {
  training: tell('detail-rows.training'),
  'warm-up': tell('detail-rows.warm-up'),
  filler: tell('detail-rows.an-easy-one'),
  probe: tell('detail-rows.a-probe'),
  rehearsal: tell('detail-rows.rehearsal'),
};
const PURPOSE = row(
  tell('detail-rows.this-was'),
  (rep) => rep.purpose,
  (purpose) => ({ purpose }),
  PURPOSES.map((purpose) => [purpose, PURPOSE_WORDS[purpose]] as const),
);
const DRIVE = row(
  tell('detail-rows.drive'),
  (rep) => rep.seen.drive,
  (drive) => ({ seen: { drive } }),
  [
    [1, tell('detail-rows.flat')],
    [3, tell('detail-rows.working')],
    [5, tell('detail-rows.full')],
  ],
);
const VOID = row(
  tell('detail-rows.void'),
  (rep) => rep.judged.void,
  (isVoid) => ({ judged: { void: isVoid } }),
  [
    [true, tell('detail-rows.nothing-there-or-touched')],
    [false, tell('detail-rows.no')],
  ],
);

/** What of the pad's view the details of a rep need. */
export type DetailsView = Pick<PadView, 'judging' | 'by' | 'angled' | 'worn' | 'chips' | 'hold' | 'began'>;

/** Every row that can be said of this rep, in the order in which it is asked for. */
export function rowsOf(view: DetailsView, rep: StandingRep, rewards: readonly string[]): Row[] {
  const others = othersOf(view.chips, rep);
  return [
    ...(rep.seen.timing === null ? [] : [timingRow(view)]),
    ...(rep.seen.grade === undefined ? [] : [gradeRow(view)]),
    ...runRows(view, rep),
    ...view.chips.map((chip) => chipRow(chip, view.began)),
    cuesRow(tell('detail-rows.more-cues-it-needed'), 'needed', view),
    cuesRow(tell('detail-rows.more-cues-slipped-from-you'), 'slip', view),
    cuesRow(tell('detail-rows.more-cues-meant-as-an-answer'), 'meant', view),
    aidRows(view),
    ...(rep.judged.outcome === 'clean' ? [] : [HANDLED_ROW]),
    ...(rep.judged.outcome === 'clean' || others.length === 0 ? [] : [insteadRow(others)]),
    ...(view.angled ? [CROOKED] : []),
    ...(view.worn ? CALM : []),
    PAY,
    ...(rewards.length > 0 ? [kindRow(rewards)] : []),
    PIECES,
    WHEN,
    LANDED,
    UNASKED,
    MARKER,
    DRIVE,
    PURPOSE,
    VOID,
  ];
}
