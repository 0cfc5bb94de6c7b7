import type { KeyboardEvent } from 'react';
import { Button } from '@/ui';
import { Cell } from './cell';
import { DemandCell, Head, withDemands } from './demand-cell';
import { at, type Draft, listAt, put, textAt } from './draft';
import { useEditor } from './editor-store';
import { FaultMore } from './fault-more';
import { FaultRow, MoreButton, PriceCell } from './fault-row';
import { written } from './made';
import { PART_FIELDS } from './row-specs';
import { SpecFields } from './spec-fields';
import { addFault, addPart, missOf, removePart } from './starts';
import { tell } from './words';

type Props = { readonly draft: Draft; readonly exercise: number };

/** The parts of an exercise in performing order, each with its faults; then what the handler does anywhere. */
export function PartRows({ draft, exercise }: Props) {
  const { change, goTo } = useEditor();
  const parts = listAt(draft, ['exercises', exercise, 'parts']);
  const of =
    textAt(draft, ['exercises', exercise, 'title']) || tell('book-place.exercise', { n: exercise + 1 });
  const anywhere = faultsOf(draft, exercise, null);
  const add = (part: string | null, name: string) => (
    <Button
      look="quiet"
      aria-label={tell('book-row.add-a-fault-to', { name })}
      onClick={() => {
        const end = listAt(draft, ['rules', 'exercises', exercise, 'faults']).length;
        change((now) => addFault(now, exercise, part));
        goTo(['rules', 'exercises', exercise, 'faults', end, 'title']);
      }}
    >
      {tell('book-row.add-a-fault')}
    </Button>
  );
  return (
    <div className="border-t border-rule pt-2 md:pl-6">
      {parts.map((part, p) => (
        <section
          key={textAt(part, ['id'])}
          aria-label={tell('book-row.faults-in', {
            name: textAt(part, ['title']) || (parts.length > 1 ? tell('book-place.part', { n: p + 1 }) : of),
          })}
          className="mb-3"
        >
          <PartRow draft={draft} exercise={exercise} part={p} count={parts.length} of={of} />
          <ul>
            {faultsOf(draft, exercise, textAt(part, ['id'])).map((fault, place) => (
              <FaultRow key={fault.id} draft={draft} exercise={exercise} fault={fault.index} place={place} />
            ))}
          </ul>
          {add(textAt(part, ['id']), textAt(part, ['title']) || of)}
        </section>
      ))}
      <section aria-label={tell('book-row.anywhere-in', { of })}>
        {anywhere.length > 0 && (
          <>
            <p className="border-b border-ink font-bold text-sm">{tell('book-row.anywhere')}</p>
            <ul>
              {anywhere.map((fault, place) => (
                <FaultRow
                  key={fault.id}
                  draft={draft}
                  exercise={exercise}
                  fault={fault.index}
                  place={place}
                />
              ))}
            </ul>
          </>
        )}
        <div className="flex flex-wrap gap-2">
          {anywhere.length > 0 ? (
            add(null, tell('book-row.anywhere-in', { of }))
          ) : (
            <Button
              look="quiet"
              aria-label={tell('book-row.add-handlers-fault-to', { of })}
              onClick={() => {
                const end = listAt(draft, ['rules', 'exercises', exercise, 'faults']).length;
                change((now) => addFault(now, exercise, null));
                goTo(['rules', 'exercises', exercise, 'faults', end, 'title']);
              }}
            >
              {tell('book-row.add-handlers-fault')}
            </Button>
          )}
          <Button
            look="quiet"
            aria-label={tell('book-row.add-a-part-to', { of })}
            onClick={() => {
              change((now) => addPart(now, exercise, parts.length));
              goTo(['exercises', exercise, 'parts', parts.length, 'title']);
            }}
          >
            {tell('book-row.add-a-part')}
          </Button>
        </div>
      </section>
    </div>
  );
}

type Placed = { readonly index: number; readonly id: string };

/** The faults that stand under a part: all of its own but the one that says that it is not done. */
function faultsOf(draft: Draft, exercise: number, part: string | null): Placed[] {
  const known = listAt(draft, ['exercises', exercise, 'parts']).map((one) => textAt(one, ['id']));
  const miss = part === null ? -1 : missOf(draft, exercise, part);
  return listAt(draft, ['rules', 'exercises', exercise, 'faults']).flatMap((fault, index) => {
    const owner = at(fault, ['part']);
    const stands = typeof owner === 'string' && known.includes(owner) ? owner : null;
    return stands === part && index !== miss ? [{ index, id: textAt(fault, ['id']) }] : [];
  });
}

type PartProps = Props & { readonly part: number; readonly count: number; readonly of: string };

/** One part: its name, what is asked of it, and what is charged when it is not done. */
function PartRow({ draft, exercise, part, count, of }: PartProps) {
  const { change, goTo, unfolded: open, fold } = useEditor();
  const path = ['exercises', exercise, 'parts', part];
  const node = at(draft, path) ?? null;
  const id = textAt(node, ['id']);
  const miss = missOf(draft, exercise, id);
  const missPath = ['rules', 'exercises', exercise, 'faults', miss];
  const name = textAt(node, ['title']) || (count > 1 ? tell('book-place.part', { n: part + 1 }) : of);
  const onKey = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter' || event.nativeEvent.isComposing) return;
    if (!(event.target instanceof HTMLInputElement) || event.target.type === 'checkbox') return;
    event.preventDefault();
    change((now) => addFault(now, exercise, id, miss + 1));
    goTo(['rules', 'exercises', exercise, 'faults', miss + 1, 'title']);
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a row of cells is no set of a form
    <div
      role="group"
      aria-label={tell('book-row.row-of', { name })}
      data-row="part"
      onKeyDown={onKey}
      className="border-b border-ink bg-paper/50 py-1"
    >
      <div className="grid grid-cols-1 items-start gap-x-2 gap-y-1 md:grid-cols-[minmax(0,4fr)_minmax(0,3fr)_minmax(0,2fr)_auto]">
        <div data-col="title">
          <Head>{tell('book-row.head-part')}</Head>
          <Cell
            path={[...path, 'title']}
            label={tell('book-row.part-of', { n: part + 1, of })}
            value={textAt(node, ['title'])}
            placeholder={count > 1 ? tell('book-place.part', { n: part + 1 }) : tell('book-row.the-whole-of')}
            className="w-full font-semibold"
            onText={(text) =>
              change((now) => put(now, [...path, 'title'], text), written([...path, 'title']))
            }
          />
        </div>
        <DemandCell draft={draft} path={path} node={node} label={tell('book-row.asked-of', { name })} />
        {miss >= 0 && (
          <div className="min-w-0">
            <Head>{tell('book-row.head-not-done')}</Head>
            <PriceCell draft={draft} path={missPath} label={tell('book-row.not-done-costs', { name })} />
          </div>
        )}
        <div data-col="more">
          <MoreButton id={id} name={tell('book-row.more-of-part', { name, of })} />
        </div>
      </div>
      {open.has(id) && (
        <div className="mt-2 grid gap-3 border-l-4 border-rule pl-3">
          <SpecFields
            draft={withDemands(draft, path)}
            base={path}
            specs={PART_FIELDS}
            context={name}
            before={(now) => withDemands(now, path)}
          />
          {miss >= 0 && (
            <fieldset>
              <legend className="font-semibold text-sm">{tell('book-row.when-not-done')}</legend>
              <FaultMore
                draft={draft}
                exercise={exercise}
                path={missPath}
                context={tell('book-row.not-done-of', { name })}
              />
            </fieldset>
          )}
          {count > 1 && (
            <p>
              <Button
                look="quiet"
                onClick={() => {
                  fold(id, false);
                  change((now) => removePart(now, exercise, part));
                }}
              >
                {tell('book-row.take-out-with-faults', { name })}
              </Button>
            </p>
          )}
        </div>
      )}
    </div>
  );
}
