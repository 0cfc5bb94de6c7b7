import { useState } from 'react';
import { buildLadder, describePlace, findCircle } from '@/core/breakdown';
import type { DogState } from '@/data/live';
import { activeElements, type ElementRecord, prerequisiteGraph } from '@/data/read';
import { Button, Notice, SelectField } from '@/ui';
import { useElementChange } from './use-element-change';
import { tell } from './words';

/**
 * "Not before that one is at rung 4": added and taken away, and refused where it would make a
 * circle.
 */
export function NeedsFields({
  element,
  state,
}: {
  readonly element: ElementRecord;
  readonly state: DogState;
}) {
  const change = useElementChange(element);
  const others = activeElements(state.work).filter((one) => one.id !== element.id);
  const free = others.filter((one) => !element.needs.some((need) => need.element === one.id));
  const [chosen, setChosen] = useState('');
  const [rung, setRung] = useState(1);
  const [problem, setProblem] = useState<string>();
  const target = free.find((one) => one.id === chosen) ?? free[0];
  const ladder = target ? buildLadder(target) : null;
  const rungs = ladder?.rungs.length ?? 1;
  const add = (): void => {
    if (!target) return;
    const at = ladder?.rungs[Math.min(rung, rungs - 1)]?.criteria ?? {};
    const needs = [...element.needs, { element: target.id, at }];
    const circle = findCircle(
      prerequisiteGraph(state).map((node) => (node.id === element.id ? { ...node, needs } : node)),
    );
    const titles = circle?.map((id) => `“${state.work.elements.find((one) => one.id === id)?.title ?? id}”`);
    setProblem(
      titles
        ? tell('needs-fields.that-would-go-round-in-a-circle', { titles: titles.join(' waits for ') })
        : undefined,
    );
    if (!circle) change({ needs }, tell('needs-fields.it-waits-for-that-now'));
  };
  return (
    <>
      <ul className="my-2 grid gap-1">
        {element.needs.map((need) => {
          const other = state.work.elements.find((one) => one.id === need.element);
          const title = other?.title ?? tell('needs-fields.an-element-that-is-gone');
          return (
            <li key={need.element} className="flex items-center justify-between gap-3 leading-snug">
              <span>
                {tell('needs-fields.not-before-is', {
                  title,
                  other: other
                    ? tell('needs-fields.at-rung', {
                        describePlace: describePlace(buildLadder(other), need.at),
                      })
                    : 'there',
                })}
              </span>
              <Button
                look="quiet"
                aria-label={tell('needs-fields.no-longer-wait-for', { title })}
                onClick={() =>
                  change(
                    { needs: element.needs.filter((one) => one.element !== need.element) },
                    tell('needs-fields.it-no-longer-waits-for-that'),
                  )
                }
              >
                {tell('needs-fields.take-away')}
              </Button>
            </li>
          );
        })}
        {element.needs.length === 0 && (
          <li className="leading-snug">{tell('needs-fields.nothing-it-can-be-begun-at-any')}</li>
        )}
      </ul>
      {target && (
        <div className="flex flex-wrap items-end gap-3">
          <SelectField
            className="min-w-40 flex-1"
            label={tell('needs-fields.not-before')}
            value={target.id as string}
            options={free.map((one) => ({ value: one.id as string, words: one.title }))}
            onChange={setChosen}
          />
          <SelectField
            label={tell('needs-fields.is-at-rung')}
            value={String(Math.min(rung, rungs - 1))}
            options={Array.from({ length: rungs }, (_, i) => ({ value: String(i), words: String(i + 1) }))}
            onChange={(chosen) => setRung(Number(chosen))}
          />
          <Button onClick={add}>{tell('needs-fields.wait-for-it')}</Button>
        </div>
      )}
      {problem && (
        <div className="mt-2">
          <Notice tone="alert" role="alert">
            {problem}
          </Notice>
        </div>
      )}
    </>
  );
}
