import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react';
import { useState } from 'react';
import { DEMAND_QUANTITIES, type Rules } from '@/core/rulebooks';
import type { Failure } from '@/core/shared';
import { Button, Notice, SelectField } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from '../words';
import {
  addDemand,
  addFault,
  addPart,
  COST_STARTS,
  costKinds,
  type Draft,
  listAt,
  moveExercise,
  put,
  remove,
  removeExercise,
  textAt,
  VOCABULARY,
} from './draft';
import { DraftField } from './draft-field';
import { useEditor } from './editor-store';
import { COST_FIELDS, COST_WORDS, EXERCISE_FIELDS, FAULT_WARNINGS, PART_TIMES } from './fields';

type Props = {
  readonly draft: Draft;
  readonly index: number;
  readonly count: number;
  readonly problems: readonly Failure[];
};

/**
 * One exercise of the draft: what it asks, its parts and its faults. Moves by the handle or by
 * its arrows.
 */
export function ExerciseEditor({ draft, index, count, problems }: Props) {
  const change = useEditor((state) => state.change);
  const id = textAt(draft, ['exercises', index, 'id']);
  const title = textAt(draft, ['exercises', index, 'title']);
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  const family = textAt(draft, ['rules', 'family']) as Rules['family'];
  const outline = ['exercises', index];
  const scored = ['rules', 'exercises', index];
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? undefined }}
      className="border-2 border-ink bg-sheet p-4"
    >
      <div className="mb-3 flex flex-wrap items-end gap-2">
        <button
          type="button"
          aria-label={tell('exercise-editor.move', { title })}
          className="grid size-11 cursor-grab touch-none place-items-center border-2 border-rule"
          {...attributes}
          {...listeners}
        >
          <GripVertical aria-hidden="true" className="size-5" />
        </button>
        <Button
          aria-label={tell('exercise-editor.earlier', { title })}
          className="px-2.5!"
          disabled={index === 0}
          onClick={() => change((now) => moveExercise(now, index, index - 1))}
        >
          <ArrowUp aria-hidden="true" className="size-5" />
        </Button>
        <Button
          aria-label={tell('exercise-editor.later', { title })}
          className="px-2.5!"
          disabled={index === count - 1}
          onClick={() => change((now) => moveExercise(now, index, index + 1))}
        >
          <ArrowDown aria-hidden="true" className="size-5" />
        </Button>
        <DraftField
          draft={draft}
          base={outline}
          field={{ path: ['title'], label: tell('exercise-editor.exercise'), kind: 'text' }}
          context={`${index + 1}`}
          className="min-w-52 flex-1"
        />
        {EXERCISE_FIELDS[family].map((field) => (
          <DraftField key={field.label} draft={draft} base={scored} field={field} context={title} />
        ))}
        <Button
          look="quiet"
          aria-label={tell('exercise-editor.remove', { title })}
          disabled={count === 1}
          onClick={() => change((now) => removeExercise(now, index))}
        >
          {tell('exercise-editor.remove-2')}
        </Button>
      </div>
      <DraftField
        draft={draft}
        base={outline}
        field={{ path: ['text'], label: tell('exercise-editor.what-it-asks'), kind: 'text' }}
        context={title}
        className="w-full"
      />
      {problems.map((problem) => (
        <div key={`${problem.path}${problem.message.say}`} className="mt-2">
          <Notice tone="alert">{wordsOf(problem.message)}</Notice>
        </div>
      ))}
      <Parts draft={draft} index={index} title={title} />
      <Faults draft={draft} index={index} title={title} family={family} />
    </li>
  );
}

function Parts({
  draft,
  index,
  title,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly title: string;
}) {
  const change = useEditor((state) => state.change);
  const path = ['exercises', index, 'parts'];
  return (
    <div className="mt-4">
      <h3 className="border-b border-ink font-bold">{tell('exercise-editor.parts-in-performing-order')}</h3>
      <ul className="grid gap-2 pt-2">
        {listAt(draft, path).map((part, i) => (
          <li key={textAt(part, ['id'])} className="border-b border-hair pb-2">
            <div className="flex flex-wrap items-end gap-2">
              <DraftField
                draft={draft}
                base={[...path, i]}
                field={{ path: ['title'], label: tell('exercise-editor.part', { i: i + 1 }), kind: 'text' }}
                context={title}
                className="min-w-40 flex-1"
              />
              <DraftField
                draft={draft}
                base={[...path, i]}
                field={{ path: ['text'], label: tell('exercise-editor.what-is-judged'), kind: 'text' }}
                context={tell('exercise-editor.part-2', { i: i + 1, title })}
                className="min-w-40 flex-2"
              />
              <DraftField
                draft={draft}
                base={[...path, i]}
                field={PART_TIMES}
                context={tell('exercise-editor.part-2', { i: i + 1, title })}
                className="w-24"
              />
              <Button
                look="quiet"
                aria-label={tell('exercise-editor.remove-part-of', { i: i + 1, title })}
                onClick={() => change((now) => remove(now, path, i))}
              >
                {tell('exercise-editor.remove-2')}
              </Button>
            </div>
            <Demands
              draft={draft}
              path={[...path, i, 'demands']}
              context={tell('exercise-editor.part-2', { i: i + 1, title })}
            />
          </li>
        ))}
      </ul>
      <Adder
        label={tell('exercise-editor.new-part')}
        context={title}
        onAdd={(name) => change((now) => addPart(now, index, name))}
      />
    </div>
  );
}

type DemandsProps = {
  readonly draft: Draft;
  readonly path: readonly (string | number)[];
  readonly context: string;
};

/** What the class asks of a part, as values on its criterion axes. */
function Demands({ draft, path, context }: DemandsProps) {
  const change = useEditor((state) => state.change);
  return (
    <div className="pl-4">
      {listAt(draft, path).map((demand, d) => {
        const base = [...path, d];
        const name = tell('exercise-editor.demand', { d: d + 1, context });
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a demand is its place in the list
          <div key={d} className="flex flex-wrap items-end gap-2 pt-2">
            <DraftField
              draft={draft}
              base={base}
              field={{ path: ['title'], label: tell('exercise-editor.asked'), kind: 'text' }}
              context={name}
              className="min-w-32 flex-1"
            />
            <Choice
              label={tell('exercise-editor.quantity', { name })}
              shown={tell('exercise-editor.quantity-2')}
              value={textAt(demand, ['quantity'])}
              onChange={(value) =>
                change((now) =>
                  put(now, base, { ...(demand as object), quantity: value, unit: defaultUnit(value) }),
                )
              }
            >
              {DEMAND_QUANTITIES.map((quantity) => [quantity, quantity] as const)}
            </Choice>
            <Choice
              label={tell('exercise-editor.harder', { name })}
              shown={tell('exercise-editor.harder-is')}
              value={textAt(demand, ['harder'])}
              onChange={(value) => change((now) => put(now, [...base, 'harder'], value))}
            >
              {[
                ['more', tell('exercise-editor.more')],
                ['less', tell('exercise-editor.less')],
              ]}
            </Choice>
            <DraftField
              draft={draft}
              base={base}
              field={{ path: ['value'], label: tell('exercise-editor.value'), kind: 'number' }}
              context={name}
              className="w-20"
            />
            <DraftField
              draft={draft}
              base={base}
              field={{ path: ['unit'], label: tell('exercise-editor.unit'), kind: 'text' }}
              context={name}
              className="w-16"
            />
            <Button
              look="quiet"
              aria-label={tell('exercise-editor.remove-3', { name })}
              onClick={() => change((now) => remove(now, path, d))}
            >
              {tell('exercise-editor.remove-2')}
            </Button>
          </div>
        );
      })}
      <Button
        look="quiet"
        aria-label={tell('exercise-editor.add-a-demand', { context })}
        onClick={() => change((now) => addDemand(now, path, NEW_DEMAND))}
      >
        {tell('exercise-editor.add-a-demand-2')}
      </Button>
    </div>
  );
}

const NEW_DEMAND = {
  title: tell('exercise-editor.distance'),
  quantity: 'distance',
  harder: 'more',
  value: 10,
  unit: 'm',
};
const UNITS: Readonly<Record<string, string>> = {
  distance: 'm',
  duration: 's',
  latency: 's',
  angle: '°',
  offset: 'm',
  height: 'cm',
};
const defaultUnit = (quantity: string): string => UNITS[quantity] ?? '';

function Faults({
  draft,
  index,
  title,
  family,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly title: string;
  readonly family: Rules['family'];
}) {
  const change = useEditor((state) => state.change);
  const path = ['rules', 'exercises', index, 'faults'];
  const parts = listAt(draft, ['exercises', index, 'parts']);
  return (
    <div className="mt-4">
      <h3 className="border-b border-ink font-bold">{tell('exercise-editor.faults')}</h3>
      <ul className="divide-y divide-hair">
        {listAt(draft, path).map((fault, i) => {
          const base = [...path, i];
          const name = textAt(fault, ['title']);
          const kind = textAt(fault, ['cost', 'kind']);
          const context = `${name}, ${title}`;
          return (
            <li key={textAt(fault, ['id'])} className="flex flex-wrap items-end gap-2 py-2">
              <DraftField
                draft={draft}
                base={base}
                field={{ path: ['title'], label: tell('exercise-editor.fault'), kind: 'text' }}
                context={context}
                className="min-w-44 flex-1"
                list="fault-vocabulary"
              />
              <Choice
                label={tell('exercise-editor.part-3', { context })}
                shown={tell('exercise-editor.at')}
                value={textAt(fault, ['part'])}
                onChange={(value) =>
                  change((now) => put(now, [...base, 'part'], value === '' ? null : value))
                }
              >
                {[
                  ...parts.map((part) => [textAt(part, ['id']), textAt(part, ['title'])] as const),
                  ['', tell('exercise-editor.anywhere')] as const,
                ]}
              </Choice>
              <Choice
                label={tell('exercise-editor.by', { context })}
                shown={tell('exercise-editor.by-2')}
                value={textAt(fault, ['by'])}
                onChange={(value) => change((now) => put(now, [...base, 'by'], value))}
              >
                {[
                  ['dog', tell('exercise-editor.dog')],
                  ['handler', tell('exercise-editor.handler')],
                ]}
              </Choice>
              <Choice
                label={tell('exercise-editor.cost', { context })}
                shown={tell('exercise-editor.costs')}
                value={kind}
                onChange={(value) => change((now) => put(now, [...base, 'cost'], COST_STARTS[value] ?? null))}
              >
                {costKinds(family).map((one) => [one, COST_WORDS[one] ?? one] as const)}
              </Choice>
              {(COST_FIELDS[kind] ?? []).map((field) => (
                <DraftField
                  key={field.path.join('.')}
                  draft={draft}
                  base={[...base, 'cost']}
                  field={field}
                  context={context}
                  className="w-24"
                />
              ))}
              {family !== 'checklist' && (
                <DraftField
                  draft={draft}
                  base={base}
                  field={FAULT_WARNINGS}
                  context={context}
                  className="w-24"
                />
              )}
              <DraftField
                draft={draft}
                base={base}
                field={{ path: ['again'], label: tell('fields.again'), kind: 'check' }}
                context={context}
              />
              {family === 'abilities' && (
                <DraftField
                  draft={draft}
                  base={base}
                  field={{ path: ['ability'], label: tell('exercise-editor.ability'), kind: 'text' }}
                  context={context}
                />
              )}
              <DraftField
                draft={draft}
                base={base}
                field={{ path: ['miss'], label: tell('exercise-editor.not-done'), kind: 'check' }}
                context={context}
              />
              <DraftField
                draft={draft}
                base={base}
                field={{ path: ['stops'], label: tell('exercise-editor.stops'), kind: 'check' }}
                context={context}
              />
              <Button
                look="quiet"
                aria-label={tell('exercise-editor.remove-fault-of', { name, title })}
                onClick={() => change((now) => remove(now, path, i))}
              >
                {tell('exercise-editor.remove-2')}
              </Button>
            </li>
          );
        })}
      </ul>
      <Adder
        label={tell('exercise-editor.new-fault')}
        context={title}
        list="fault-vocabulary"
        onAdd={(name) => change((now) => addFault(now, index, name))}
      />
    </div>
  );
}

/** The shared words for faults, offered wherever one is named. */
export function FaultVocabulary() {
  return (
    <datalist id="fault-vocabulary">
      {VOCABULARY.map((word) => (
        <option key={word} value={word} />
      ))}
    </datalist>
  );
}

type ChoiceProps = {
  readonly label: string;
  readonly shown: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly children: readonly (readonly [string, string])[];
};

export function Choice({ label, shown, value, onChange, children }: ChoiceProps) {
  return (
    <SelectField
      label={label}
      shown={shown}
      look="min-h-11 max-w-44 bg-paper px-1"
      value={value}
      options={children.map(([key, words]) => ({ value: key, words }))}
      onChange={onChange}
    />
  );
}

type AdderProps = {
  readonly label: string;
  readonly context: string;
  readonly onAdd: (name: string) => void;
  readonly list?: string;
};

function Adder({ label, context, onAdd, list }: AdderProps) {
  const [name, setName] = useState('');
  const add = (): void => {
    if (name.trim() === '') return;
    onAdd(name.trim());
    setName('');
  };
  return (
    <div className="mt-2 flex items-end gap-2">
      <input
        aria-label={`${label}, ${context}`}
        placeholder={label}
        list={list}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
        className="min-h-11 min-w-40 flex-1 border-b-2 border-rule bg-paper px-2 placeholder:text-ink-soft"
      />
      <Button aria-label={tell('exercise-editor.add', { label, context })} onClick={add}>
        {tell('exercise-editor.add-2')}
      </Button>
    </div>
  );
}
