import { Link } from 'react-router';
import { changesOf, drawnAs, type Ladder, type Place, type Rung, writeValue } from '@/core/breakdown';
import { type BoutEvidence, tallyAt } from '@/core/evidence';
import type { FaultRef } from '@/core/rulebooks';
import type { AxisKey } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type ElementRecord, faultLabel, type NamedFault } from '@/data/read';
import { Button } from '@/ui';
import { wordsOf } from '@/words';
import { CellInput } from './cell-input';
import { isEdited } from './ladder-edit';
import { MARKS } from './staircase';
import { tell } from './words';

type Props = {
  readonly element: ElementRecord;
  readonly ladder: Ladder;
  readonly place: Place;
  readonly bouts: readonly BoutEvidence[];
  readonly faults: readonly NamedFault[];
  /** Returns what is wrong with the text, or null when it was taken. */
  readonly onCell: (axis: AxisKey, rung: number, text: string) => string | null;
  /** Leaves a step out; null where the rungs are set by hand and are simply taken out. */
  readonly onSkip: ((rung: Rung) => void) | null;
};

/** Every rung with every value, which can be set by hand, and what changes from the one below. */
export function RungTable({ element, ladder, place, bouts, faults, onCell, onSkip }: Props) {
  const { kennel } = useKennelWithDog();
  const drawable = Object.keys(drawnAs(element).reads).length > 0;
  const label = (fault: FaultRef): string => wordsOf(faultLabel(faults, fault) ?? fault.key);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
    <section className="overflow-x-auto" aria-label={tell('rung-table.rungs-of-the-ladder')} tabIndex={0}>
      <table className="w-full min-w-[36rem] border-collapse text-base">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-2 pr-3">{tell('rung-table.rung')}</th>
            {element.axes.map((axis) => (
              <th key={axis.key} className="py-2 pr-3">
                {axis.title}
                {axis.role !== 'criterion' && (
                  <span className="block text-sm font-normal text-ink-soft">
                    {tell('rung-table.help-this-rung-allows', { role: axis.role === 'help' })}
                  </span>
                )}
              </th>
            ))}
            <th className="py-2 pr-3">{tell('rung-table.what-changes')}</th>
            <th className="py-2 text-right">{tell('rung-table.clean-of-counted-reps')}</th>
          </tr>
        </thead>
        <tbody>
          {ladder.rungs.map((rung, index) => {
            const { reps, clean } = tallyAt(bouts, element.axes, rung.criteria);
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a rung is its place on the ladder
              <tr key={index} className={`border-b border-hair ${index === place.rung ? 'bg-paper' : ''}`}>
                <th scope="row" className="whitespace-nowrap py-1.5 pr-3 text-left font-semibold">
                  {index + 1}
                  {index === place.rung && (
                    <span className="ml-2 border border-ink bg-signal px-1 text-sm text-on-signal">
                      {MARKS[place.kind]}
                    </span>
                  )}
                </th>
                {element.axes.map((axis) => (
                  <td key={axis.key} className="py-1 pr-3">
                    <CellInput
                      label={tell('rung-table.rung-2', { index: index + 1, title: axis.title })}
                      value={wordsOf(writeValue(axis, rung.criteria[axis.key] ?? axis.start))}
                      wide={axis.levels !== null}
                      raised={rung.raises === axis.key}
                      edited={isEdited(element, rung, axis.key)}
                      onCommit={(text) => onCell(axis.key, index, text)}
                    />
                  </td>
                ))}
                <td className="py-1.5 pr-3 text-sm leading-snug text-ink-soft">
                  {wordsOf(changesOf(ladder, index))}
                  {rung.noted.length > 0 && (
                    <span className="block">
                      {tell('rung-table.noted-only', {
                        noted: rung.noted.map(label).join(', ').toLowerCase(),
                      })}
                    </span>
                  )}
                  <span className="flex flex-wrap items-center gap-x-3">
                    {drawable && (
                      <Link
                        className="inline-flex min-h-11 items-center underline underline-offset-4"
                        aria-label={tell('rung-table.draw-step', { index: index + 1 })}
                        to={`/${kennel.name}/set-outs/new?element=${element.id}&step=${index + 1}`}
                      >
                        {tell('rung-table.to-scale')}
                      </Link>
                    )}
                    {onSkip && index > 0 && index < ladder.rungs.length - 1 && (
                      <Button
                        look="quiet"
                        className="!px-1 text-sm"
                        aria-label={tell('rung-table.skip-step', { index: index + 1 })}
                        onClick={() => onSkip(rung)}
                      >
                        {tell('rung-table.skip')}
                      </Button>
                    )}
                  </span>
                </td>
                <td className="py-1.5 text-right">
                  {reps === 0 ? tell('rung-table.none') : tell('rung-table.of', { clean, reps })}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
