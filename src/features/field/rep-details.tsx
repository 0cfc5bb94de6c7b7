import type { Details } from '@/data/repositories';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

type Key = keyof Details;
type Row = { readonly title: string; readonly key: Key; readonly options: readonly { readonly value: Details[Key]; readonly words: string }[] };

const row = <K extends Key>(title: string, key: K, options: readonly (readonly [NonNullable<Details[K]>, string])[]): Row => ({
  title,
  key,
  options: options.map(([value, words]) => ({ value, words })),
});

const PAY = row('Paid', 'pay', [
  ['none', 'not'],
  ['small', 'a little'],
  ['large', 'a lot'],
]);
const LANDED = row('Reward landed', 'landed', [
  ['spot', 'at the spot'],
  ['ahead', 'ahead'],
  ['behind', 'behind'],
  ['hand', 'to hand'],
  ['reset', 'to reset'],
]);
const CROOKED = row('Crooked', 'crooked', [
  ['badly-left', 'badly left'],
  ['slightly-left', 'left'],
  ['straight', 'straight'],
  ['slightly-right', 'right'],
  ['badly-right', 'badly right'],
]);
const DID = row('While it held, you', 'did', [
  ['stood', 'stood'],
  ['walked-off', 'walked off'],
  ['came-back', 'came back'],
  ['out-of-sight', 'were out of sight'],
  ['false-move', 'made a false move'],
]);
const CALM_STEPS = [
  [0, 'fights it'],
  [1, 'tense'],
  [3, 'bears it'],
  [5, 'calm'],
] as const;
const CALM = [
  row('As it was put on', 'calmOn', CALM_STEPS),
  row('While it was worn', 'calm', CALM_STEPS),
  row('After it came off', 'calmOff', CALM_STEPS),
];
const CUES = row('Extra cues', 'extraCues', [
  [0, 'none'],
  [1, '1'],
  [2, '2'],
  [3, '3'],
]);
const PURPOSE = row('This was', 'purpose', [
  ['training', 'training'],
  ['warm-up', 'warm-up'],
  ['filler', 'filler'],
  ['probe', 'a probe'],
  ['rehearsal', 'rehearsal'],
]);
const DRIVE = row('Drive', 'drive', [
  [1, 'flat'],
  [3, 'working'],
  [5, 'full'],
]);
const VOID = row('Void', 'isVoid', [
  [true, 'nothing there, or touched'],
  [false, 'no'],
]);

/** What else can be said of the last rep, each in one tap and none of it needed. A tap on what is on changes nothing. */
export function RepDetails({ view, actions }: { readonly view: PadView; readonly actions: PadActions }) {
  const details = view.last?.details;
  if (!details) return null;
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
          <fieldset key={one.key}>
            <legend className="text-base font-semibold">{one.title}</legend>
            <div className="mt-1 flex flex-wrap gap-1.5">
              {one.options.map((option) => {
                const on = details[one.key] === option.value;
                return (
                  <button
                    key={option.words}
                    type="button"
                    aria-pressed={on}
                    disabled={actions.busy}
                    onClick={() => !on && actions.detail({ [one.key]: option.value })}
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
