import { BODY_SIGNS } from '@/core/coaching';
import type { Judged } from '@/core/log';
import { faultText, sameFault } from '@/core/rulebooks';
import type { NamedFault } from '@/data/read';
import { Button, Dialog, RepMarks, repMark, SelectField, SIGN_WORDS } from '@/ui';
import { wordsOf } from '@/words';
import { judgementFor } from './judgements';
import { tell } from './later-words';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

type Props = {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly actions: PadActions;
  readonly view: PadView;
};

/**
 * Both hands were on the dog: what happened, from memory and in order, without times. Any number of reps,
 * the fault of the one just said, and signs; what is said stays when the sheet is closed, and one tap
 * writes it.
 */
export function SetAfterwards({ open, onClose, actions, view }: Props) {
  const { memory, remember } = usePad();
  const reps = memory.flatMap((item) => (item.kind === 'rep' ? [item.judged] : []));
  const last = memory.at(-1);
  const add = (outcome: Judged['outcome']): void =>
    remember([...memory, { kind: 'rep', judged: judgementFor(outcome, null) }]);
  const write = async (): Promise<void> => {
    if (await actions.set(memory)) remember([]);
    onClose();
  };
  const marks = reps.map(({ outcome, cause = 'dog' }, i) =>
    repMark({ id: String(i), outcome, cause, aided: false }, null),
  );
  const signs = memory.flatMap((item) => (item.kind === 'sign' ? [SIGN_WORDS[item.sign].toLowerCase()] : []));
  return (
    <Dialog open={open} onClose={onClose} title={tell('set-afterwards.a-set-from-memory-first-to-last')}>
      <div className="grid gap-3">
        <p className="text-lg" aria-live="polite">
          {reps.length === 0
            ? tell('set-afterwards.begin-with-the-first-rep')
            : tell('set-afterwards.so-far', { repsCount: reps.length })}
          {signs.length > 0 && tell('set-afterwards.seen', { signs: signs.join(', ') })}
        </p>
        <div className="min-h-12">
          {marks.length > 0 && <RepMarks marks={marks} label={tell('set-afterwards.the-set-so-far')} big />}
        </div>
        <div className="grid grid-cols-3 gap-2">
          <Button size="huge" look="signal" onClick={() => add('clean')}>
            {tell('set-afterwards.clean')}
          </Button>
          <Button size="huge" onClick={() => add('flawed')}>
            {tell('set-afterwards.flawed')}
          </Button>
          <Button size="huge" onClick={() => add('miss')}>
            {tell('set-afterwards.miss')}
          </Button>
        </div>
        {last?.kind === 'rep' && last.judged.outcome !== 'clean' && (
          <FaultOf
            faults={last.judged.outcome === 'miss' ? view.misses : view.flaws}
            judged={last.judged}
            onName={(fault) =>
              remember([
                ...memory.slice(0, -1),
                { kind: 'rep', judged: judgementFor(last.judged.outcome, fault, view.noted) },
              ])
            }
          />
        )}
        <SelectField
          label={tell('set-afterwards.a-sign-of-the-body-that-you-saw')}
          value=""
          options={[
            { value: '', words: tell('set-afterwards.none') },
            ...BODY_SIGNS.map((sign) => ({ value: sign as string, words: SIGN_WORDS[sign] })),
          ]}
          onChange={(chosen) => {
            const sign = BODY_SIGNS.find((one) => one === chosen);
            if (sign) remember([...memory, { kind: 'sign', sign }]);
          }}
        />
        <div className="grid grid-cols-2 gap-2">
          <Button size="big" disabled={memory.length === 0} onClick={() => remember(memory.slice(0, -1))}>
            {tell('set-afterwards.one-back')}
          </Button>
          <Button
            size="big"
            look="ink"
            disabled={memory.length === 0 || actions.busy}
            onClick={() => void write()}
          >
            {tell('set-afterwards.write-them')}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

function FaultOf({
  faults,
  judged,
  onName,
}: {
  readonly faults: readonly NamedFault[];
  readonly judged: Pick<Partial<Judged>, 'faults'>;
  readonly onName: (fault: NamedFault) => void;
}) {
  if (faults.length === 0) return null;
  return (
    <fieldset>
      <legend className="text-base font-semibold">{tell('set-afterwards.which-fault-if-you-know-it')}</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {faults.map((fault) => (
          <button
            key={faultText(fault.ref)}
            type="button"
            aria-pressed={judged.faults?.some((one) => sameFault(one, fault.ref)) ?? false}
            className="min-h-14 border-2 border-ink bg-sheet px-2 text-base leading-tight aria-pressed:bg-ink aria-pressed:font-bold aria-pressed:text-paper"
            onClick={() => onName(fault)}
          >
            {wordsOf(fault.label)}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
