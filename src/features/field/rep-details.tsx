import {
  ACTION_CHIP,
  type Amendment,
  type Crooked,
  HANDLER_ACTIONS,
  type Landed,
  type Paid,
  PURPOSES,
  type StandingRep,
} from '@/core/log';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

/** One thing that can be said of a rep: what is said now, and the amendment that each tap makes. */
type Row = {
  readonly title: string;
  readonly said: (rep: StandingRep) => unknown;
  readonly options: readonly {
    readonly value: unknown;
    readonly words: string;
    readonly amend: (rep: StandingRep) => Amendment;
  }[];
};

function row<const T>(
  title: string,
  said: (rep: StandingRep) => T | undefined,
  amend: (value: T, rep: StandingRep) => Amendment,
  options: readonly (readonly [T, string])[],
): Row {
  return {
    title,
    said,
    options: options.map(([value, words]) => ({ value, words, amend: (rep) => amend(value, rep) })),
  };
}

const PAY = row<NonNullable<Paid['size']>>(
  'Paid',
  (rep) => rep.paid.size,
  (size) => ({ paid: { size } }),
  [
    ['none', 'not'],
    ['small', 'a little'],
    ['large', 'a lot'],
  ],
);
const LANDED = row<Landed>(
  'Reward landed',
  (rep) => rep.paid.where,
  (where) => ({ paid: { where } }),
  [
    ['spot', 'at the spot'],
    ['ahead', 'ahead'],
    ['behind', 'behind'],
    ['hand', 'to hand'],
    ['reset', 'to reset'],
  ],
);
const CROOKED = row<Crooked>(
  'Crooked',
  (rep) => rep.seen.eye,
  (eye) => ({ seen: { eye } }),
  [
    ['badly-left', 'badly left'],
    ['slightly-left', 'left'],
    ['straight', 'straight'],
    ['slightly-right', 'right'],
    ['badly-right', 'badly right'],
  ],
);
const DID_WORDS: Readonly<Record<(typeof HANDLER_ACTIONS)[number], string>> = {
  stood: 'stood',
  'walked-off': 'walked off',
  'came-back': 'came back',
  'out-of-sight': 'were out of sight',
  'false-move': 'made a false move',
};
const DID = row<string>(
  'While it held, you',
  (rep) => rep.asked.chips[ACTION_CHIP],
  (action) => ({ asked: { chips: { [ACTION_CHIP]: action } } }),
  HANDLER_ACTIONS.map((action) => [action, DID_WORDS[action]] as const),
);
const calmAt = (title: string, moment: 'on' | 'worn' | 'off'): Row =>
  row(
    title,
    (rep) => rep.seen.calm?.[moment],
    (calm) => ({ seen: { calm: { [moment]: calm } } }),
    [
      [0, 'fights it'],
      [1, 'tense'],
      [3, 'bears it'],
      [5, 'calm'],
    ],
  );
const CALM = [
  calmAt('As it was put on', 'on'),
  calmAt('While it was worn', 'worn'),
  calmAt('After it came off', 'off'),
];
/** What slipped from the handler is no need of the dog's. */
const CUES = row(
  'Extra cues',
  ({ seen }) => seen.cues && seen.cues.needed + seen.cues.slip,
  (cues, { judged }) => ({
    seen: { cues: judged.cause === 'handler' ? { needed: 0, slip: cues } : { needed: cues, slip: 0 } },
  }),
  [
    [0, 'none'],
    [1, '1'],
    [2, '2'],
    [3, '3'],
  ],
);
const PURPOSE_WORDS: Readonly<Record<(typeof PURPOSES)[number], string>> = {
  training: 'training',
  'warm-up': 'warm-up',
  filler: 'filler',
  probe: 'a probe',
  rehearsal: 'rehearsal',
};
const PURPOSE = row(
  'This was',
  (rep) => rep.purpose,
  (purpose) => ({ purpose }),
  PURPOSES.map((purpose) => [purpose, PURPOSE_WORDS[purpose]] as const),
);
const DRIVE = row(
  'Drive',
  (rep) => rep.seen.drive,
  (drive) => ({ seen: { drive } }),
  [
    [1, 'flat'],
    [3, 'working'],
    [5, 'full'],
  ],
);
const VOID = row(
  'Void',
  (rep) => rep.judged.void,
  (isVoid) => ({ judged: { void: isVoid } }),
  [
    [true, 'nothing there, or touched'],
    [false, 'no'],
  ],
);

/**
 * What else can be said of the last rep, each in one tap and none of it needed. A tap on what is on
 * changes nothing.
 */
export function RepDetails({ view, actions }: { readonly view: PadView; readonly actions: PadActions }) {
  const { last } = view;
  if (!last) return null;
  const rows = [
    PURPOSE,
    CUES,
    ...(view.angled ? [CROOKED] : []),
    ...(view.worn ? CALM : []),
    ...(view.hold !== null ? [DID] : []),
    PAY,
    LANDED,
    DRIVE,
    VOID,
  ];
  return (
    <details className="border-2 border-t-0 border-rule px-3">
      <summary className="flex min-h-14 cursor-pointer items-center text-lg underline decoration-rule underline-offset-4">
        More about this rep
      </summary>
      <div className="grid gap-3 pb-3">
        {rows.map((one) => (
          <fieldset key={one.title}>
            <legend className="text-base font-semibold">{one.title}</legend>
            <div className="mt-1 flex flex-wrap gap-1.5">
              {one.options.map((option) => {
                const on = one.said(last) === option.value;
                return (
                  <button
                    key={option.words}
                    type="button"
                    aria-pressed={on}
                    disabled={actions.busy}
                    onClick={() => !on && actions.amend(option.amend(last))}
                    className={`min-h-14 min-w-14 border-2 border-ink px-2 text-base leading-tight ${on ? 'bg-ink font-bold text-paper' : 'bg-sheet'}`}
                  >
                    {option.words}
                  </button>
                );
              })}
            </div>
          </fieldset>
        ))}
      </div>
    </details>
  );
}
