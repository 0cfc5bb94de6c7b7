import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import { type Axis, buildLadder, type CellEdit, checkLadder, describeRung, type Ladder } from '@/core/breakdown';
import type { EvidenceRep } from '@/core/evidence';
import { writeAmount } from '@/core/shared';
import { changeElement, type DogState, type ElementRecord, useDog, useKennel } from '@/data/repositories';
import { buttonClass, Notice, newestOf, PageHead, Sheet } from '@/ui';
import { AxisEditor } from './axis-editor';
import { chanceInWords, rodsOf } from './breakdown-view';
import { CellInput } from './cell-input';
import { isEdited, withCell } from './ladder-edit';
import { useAssessed } from './use-assessed';

/** One element's ladder: its axes, its checks in words, and every rung. */
export function LadderPage() {
  const { element: id } = useParams();
  const state = useDog();
  const element = state?.work.elements.find((candidate) => candidate.id === id);
  if (!state) return <p className="text-lg">Reading the log …</p>;
  if (!element) return <Notice tone="alert">There is no such element for this dog.</Notice>;
  return <Opened element={element} state={state} />;
}

function Opened({ element, state }: { readonly element: ElementRecord; readonly state: DogState }) {
  const { kennel } = useKennel();
  const latest = useAssessed(state);
  const found = newestOf(latest)?.find((candidate) => candidate.id === element.id) ?? null;
  const ladder = useMemo(() => buildLadder(element), [element]);
  const rung = Math.min(state.rungs.get(element.id) ?? 0, ladder.rungs.length - 1);
  const save = async (axes: readonly Axis[], edits: readonly CellEdit[], words: string): Promise<void> => {
    const before = await changeElement(kennel, element.id, { axes: [...axes], edits: [...edits] });
    if (before) toast(words, { action: { label: 'Undo', onClick: () => void changeElement(kennel, element.id, before) } });
  };
  const changeAxis = (axis: Axis): void => {
    const cleared = element.edits.length;
    const words = cleared > 0 ? `Ladder built anew; ${cleared} hand-set ${cleared === 1 ? 'value' : 'values'} cleared.` : 'Ladder built anew.';
    void save(
      element.axes.map((one) => (one.key === axis.key ? axis : one)),
      [],
      words,
    );
  };
  return (
    <>
      <PageHead title={element.title}>{found ? chanceInWords(found) : 'Weighing the reps …'}</PageHead>
      <p className="mb-5 flex flex-wrap gap-3">
        <Link className={buttonClass('plain')} to=".." relative="path">
          Back to the chain
        </Link>
        <Link className={buttonClass('ink')} to={`../../field/${element.id}`} relative="path">
          Train it
        </Link>
      </p>
      <div className="grid grid-cols-1 gap-6">
        <Sheet title="Criteria">
          <div className="grid grid-cols-1 gap-6">
            {element.axes.map((axis) => (
              <AxisEditor
                key={axis.key}
                axis={axis}
                onChange={changeAxis}
                rod={rodsOf(element, rung, found).find((rod) => rod.title === axis.title) ?? null}
              />
            ))}
          </div>
        </Sheet>
        <Checks ladder={ladder} />
        <Sheet title="Rungs" aside="type in a cell to set it by hand; empty it to take that back">
          <RungTable
            element={element}
            ladder={ladder}
            rung={rung}
            reps={state.reps.get(element.id) ?? []}
            onCell={(axis, index, text) => {
              const edits = withCell(element.edits, axis, index, text);
              if (edits.ok)
                void save(element.axes, edits.value, text.trim() === '' ? 'Back to the planned value.' : `Rung ${index + 1} set by hand.`);
              return edits.ok ? null : edits.message;
            }}
          />
        </Sheet>
      </div>
    </>
  );
}

function Checks({ ladder }: { readonly ladder: Ladder }) {
  const problems = checkLadder(ladder);
  return (
    <Sheet title="Checks" label="Checks of the ladder">
      <div aria-live="polite">
        {problems.length === 0 ? (
          <p className="text-lg">Sound: one thing at a time, no step over its limit, and the last rung asks all that is demanded.</p>
        ) : (
          <ul className="grid gap-2">
            {problems.map((problem) => (
              <li key={`${problem.path}${problem.code}`}>
                <Notice tone="alert">{problem.message}</Notice>
              </li>
            ))}
          </ul>
        )}
      </div>
    </Sheet>
  );
}

type TableProps = {
  readonly element: ElementRecord;
  readonly ladder: Ladder;
  readonly rung: number;
  readonly reps: readonly EvidenceRep[];
  readonly onCell: (axis: Axis, rung: number, text: string) => string | null;
};

function RungTable({ element, ladder, rung: stands, reps, onCell }: TableProps) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
    <section className="overflow-x-auto" aria-label="Rungs of the ladder" tabIndex={0}>
      <table className="w-full min-w-[36rem] border-collapse text-base">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-2 pr-3">Rung</th>
            {element.axes.map((axis) => (
              <th key={axis.key} className="py-2 pr-3">
                {axis.title}
              </th>
            ))}
            <th className="py-2 pr-3">What changes</th>
            <th className="py-2 text-right">Clean of counted reps</th>
          </tr>
        </thead>
        <tbody>
          {ladder.rungs.map((rung, index) => {
            const here = reps.filter(
              (rep) => rep.cause === 'dog' && !rep.aided && element.axes.every((axis) => rep.criteria[axis.key] === rung.criteria[axis.key]),
            );
            const clean = here.filter((rep) => rep.outcome === 'clean').length;
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a rung is its place on the ladder
              <tr key={index} className={`border-b border-hair ${index === stands ? 'bg-paper' : ''}`}>
                <th scope="row" className="whitespace-nowrap py-1.5 pr-3 text-left font-semibold">
                  {index + 1}
                  {index === stands && <span className="ml-2 border border-ink bg-signal px-1 text-sm text-on-signal">here</span>}
                </th>
                {element.axes.map((axis) => (
                  <td key={axis.key} className="py-1 pr-3">
                    <CellInput
                      label={`Rung ${index + 1}, ${axis.title}`}
                      value={writeAmount(axis.quantity, rung.criteria[axis.key] ?? axis.start, axis.unit)}
                      raised={rung.raises === axis.key}
                      edited={isEdited(element.edits, index, axis.key)}
                      onCommit={(text) => onCell(axis, index, text)}
                    />
                  </td>
                ))}
                <td className="py-1.5 pr-3 text-sm leading-snug text-ink-soft">{describeRung(ladder, index).replace(/^[^:]*: /, '')}</td>
                <td className="py-1.5 text-right">{here.length === 0 ? 'none' : `${clean} of ${here.length}`}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
