import { useState } from 'react';
import { writeValue } from '@/core/breakdown';
import type { Amendment, Cause, Judged, StandingRep } from '@/core/log';
import { faultText } from '@/core/rulebooks';
import { useKennelWithDog } from '@/data/live';
import { type DatedBout, type ElementRecord, judgingOf, type NamedFault } from '@/data/read';
import { record } from '@/data/write';
import { SelectField } from '@/ui';
import { wordsOf, writeDay, writeDigits } from '@/words';
import { chipRows, chipsInWords } from './chips';
import { Details, type DetailsProps } from './details';
import { gradedBy } from './judged-by';
import { tell } from './later-words';
import { holdOf, isAngled, isWorn } from './pad-view';
import { whyNotCounted } from './rep-words';

const OUTCOMES: readonly (readonly [Judged['outcome'], string])[] = [
  ['clean', tell('rep-row.clean')],
  ['flawed', tell('rep-row.flawed')],
  ['miss', tell('rep-row.miss')],
];
const CAUSES: readonly (readonly [Cause, string])[] = [
  ['dog', tell('rep-row.the-dogs')],
  ['handler', tell('rep-row.the-handlers')],
  ['apparatus', tell('rep-row.the-kits')],
  ['environment', tell('rep-row.the-places')],
];

type RowProps = {
  readonly rep: StandingRep;
  readonly place: number;
  readonly element: ElementRecord;
  readonly faults: readonly NamedFault[];
  readonly bout: DatedBout;
  readonly rewards: readonly string[];
};

/** One rep of a log, with what can be said otherwise of it. */
export function RepRow({ rep, place, element, faults, bout, rewards }: RowProps) {
  const [open, setOpen] = useState(false);
  const { kennel, done } = useKennelWithDog();
  const { judged, seen, asked } = rep;
  const amend = (change: Amendment): void =>
    void done(
      tell('rep-row.rep-is-said-again', { place }),
      record(kennel, bout, { kind: 'amend', of: rep.id, ...change }),
    );
  // Only a fault of that kind can be named: a miss has its own, and a clean rep keeps what was only
  // noted.
  const fitting = faults.filter((fault) => (judged.outcome === 'miss' ? fault.miss : !fault.miss));
  const named = judged.faults[0];
  const nameFault = (text: string): void => {
    const fault = fitting.find((one) => faultText(one.ref) === text);
    amend({ judged: { faults: fault ? [fault.ref] : [] } });
  };
  const select = <T extends string>(
    label: string,
    value: T,
    options: readonly (readonly [T, string])[],
    onTake: (value: T) => void,
  ) => (
    <SelectField
      label={tell('rep-row.rep-of', { place, writeDay: writeDay(bout.day), label })}
      shown={null}
      look="min-h-11 bg-paper px-1"
      value={value}
      options={options.map(([id, words]) => ({ value: id, words }))}
      onChange={onTake}
    />
  );
  const aided = judged.aids.length > 0;
  const latency = seen.measured.latency?.value;
  const why = whyNotCounted(rep);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span className="w-8 font-semibold">{place}</span>
      <span className="w-44 text-sm leading-tight text-ink-soft">
        {element.axes
          .map((axis) => wordsOf(writeValue(axis, asked.criteria[axis.key] ?? axis.start)))
          .join(', ')}
      </span>
      {select('outcome', judged.outcome, outcomesOf(judged), (outcome) =>
        amend({ judged: { outcome, faults: [] } }),
      )}
      {judged.outcome !== 'clean' &&
        select<string>(
          'fault',
          named ? faultText(named) : '',
          [
            ['', tell('rep-row.not-named')],
            ...fitting.map((fault) => [faultText(fault.ref), wordsOf(fault.label)] as const),
          ],
          nameFault,
        )}
      {select('whose', judged.cause, CAUSES, (cause) => amend({ judged: { cause } }))}
      <label className="inline-flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--ink)"
          aria-label={tell('rep-row.rep-of-aided', { place, writeDay: writeDay(bout.day) })}
          checked={aided}
          onChange={() => amend({ judged: { aids: aided ? [] : ['unsaid'] } })}
        />
        {tell('rep-row.aided')}
      </label>
      <span className="text-sm text-ink-soft">
        {[
          latency === undefined ? '' : `${writeDigits(latency, 1)} s`,
          ...chipsInWords(element, bout, rep),
          rep.corrected ? tell('rep-row.corrected') : '',
          why === null ? '' : tell('rep-row.does-not-count', { why }),
        ]
          .filter(Boolean)
          .join(', ')}
      </span>
      <button
        type="button"
        aria-expanded={open}
        aria-label={tell('rep-row.everything-said-of-it-rep-of', { place, writeDay: writeDay(bout.day) })}
        className="min-h-11 underline decoration-rule underline-offset-4"
        onClick={() => setOpen(!open)}
      >
        {tell('rep-row.close', { open: Boolean(open) })}
      </button>
      {open && (
        <div className="basis-full border-l-[6px] border-rule pl-3">
          <Details
            view={detailsView(element, bout, rep, faults)}
            rep={rep}
            rewards={rewards}
            busy={false}
            onAmend={amend}
          />
        </div>
      )}
    </div>
  );
}

/** What can be said of a rep of this element, whichever bout it belongs to. */
function detailsView(
  element: ElementRecord,
  bout: DatedBout,
  rep: StandingRep,
  faults: readonly NamedFault[],
): DetailsProps['view'] {
  const hold = holdOf(element, rep.asked.criteria);
  return {
    judging: judgingOf(element, faults),
    by:
      element.policy.rule.kind === 'distribution'
        ? gradedBy(element, rep.asked.criteria)
        : { kind: 'outcome' },
    angled: isAngled(element),
    worn: isWorn(element),
    hold,
    began: bout,
    chips: chipRows(element, bout, rep.asked.criteria, hold !== null, rep.asked.chips, []),
  };
}

/** What was neither one nor the other can stay so. */
const outcomesOf = ({ outcome }: Judged): typeof OUTCOMES =>
  outcome === 'none' ? [['none', tell('rep-row.neither')], ...OUTCOMES] : OUTCOMES;
