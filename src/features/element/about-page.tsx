import { useState } from 'react';
import { buildLadder, openness, placeOn, WORK_TAGS, type WorkTag } from '@/core/breakdown';
import { type FaultRef, faultText, sameFault } from '@/core/rulebooks';
import { useKit } from '@/data/live';
import { type ElementRecord, namedFaults, prerequisiteGraph } from '@/data/read';
import { ListField, Notice, SelectField, Sheet, TextField } from '@/ui';
import { ArticlesFields, SetOutField } from './articles-fields';
import { AssignSessions } from './assign-sessions';
import { ConditionFields } from './condition-fields';
import { type Opened, useOpened } from './element-room';
import { NeedsFields } from './needs-fields';
import { Reshape } from './reshape';
import { useElementChange } from './use-element-change';

/**
 * What belongs to an element besides its ladder: name, what it waits for, faults and from where
 * they count, kit, conditions, splitting and joining.
 */
export function AboutPage() {
  const opened = useOpened();
  return opened.element.retired ? <AssignSessions {...opened} /> : <Page {...opened} />;
}

function Page(opened: Opened) {
  const { element, state } = opened;
  const change = useElementChange(element);
  const nodes = prerequisiteGraph(state);
  const { open, waits } = openness(element, nodes);
  return (
    <div className="grid items-start gap-6 lg:grid-cols-2">
      <Sheet title="Name and kind">
        <NameField element={element} />
        <div className="mt-3">
          <FormFields {...opened} />
        </div>
      </Sheet>
      <Sheet title="Waits for" aside={open ? 'open: it can be worked on' : 'blocked'}>
        {waits.length > 0 && <Notice tone="alert">It waits: {waits.join('; ')}.</Notice>}
        <NeedsFields element={element} state={state} />
      </Sheet>
      <Sheet title="Faults, and from which rung they count" className="lg:col-span-2">
        <FaultFields {...opened} />
      </Sheet>
      <Sheet title="Kit and kind of work">
        <SetOutField element={element} />
        <ArticlesFields element={element} />
        <KitField element={element} onTake={(kit) => change({ kit }, 'Kit changed.')} />
        <fieldset className="mt-4">
          <legend className="text-sm font-semibold">
            What the work loads or risks (cautions hang on it)
          </legend>
          {WORK_TAGS.map((tag) => (
            <label key={tag} className="mr-4 inline-flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-(--ink)"
                checked={element.work.includes(tag)}
                onChange={() =>
                  change(
                    {
                      work: element.work.includes(tag)
                        ? element.work.filter((one) => one !== tag)
                        : [...element.work, tag],
                    },
                    'Kind of work changed.',
                  )
                }
              />
              {TAG_WORDS[tag]}
            </label>
          ))}
        </fieldset>
      </Sheet>
      <Sheet title="Conditions" aside="neither harder nor easier: surface, place, handler, kit worn">
        <ConditionFields element={element} />
      </Sheet>
      <div className="lg:col-span-2">
        <Reshape {...opened} />
      </div>
    </div>
  );
}

const TAG_WORDS: Readonly<Record<WorkTag, string>> = {
  jump: 'jumps',
  turn: 'sharp turns',
  upright: 'upright',
  strength: 'strength',
  pull: 'pulls',
  tug: 'tug',
  tether: 'tether',
  'worn-kit': 'kit worn on the head',
  water: 'water',
  retrieve: 'fetches',
  laid: 'never sent for nothing: what lies there is confirmed',
  birds: 'birds, field',
  run: 'fast runs',
  scent: 'scent',
  biter: 'may bite',
};

function NameField({ element }: { readonly element: ElementRecord }) {
  const change = useElementChange(element);
  const [text, setText] = useState(element.title);
  const clean = text.trim();
  return (
    <TextField
      label="Name"
      value={text}
      problem={clean === '' ? 'An element needs a name; the old one is kept.' : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => clean !== '' && clean !== element.title && change({ title: clean }, 'Name changed.')}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

const FORM_WORDS = {
  piece: 'a piece, rep by rep',
  chain: 'a chain of other pieces',
  continuous: 'continuous, by legs and the clock',
} as const;

/** A piece, a chain that knows its links, or continuous work with its legs. */
function FormFields({ element, state }: Opened) {
  const change = useElementChange(element);
  const { form } = element;
  const exercise = state.work.breakdowns.find(
    (one) => one.links.length > 1 && one.links.every((link) => link.element !== element.id),
  );
  const choose = (kind: keyof typeof FORM_WORDS): void => {
    if (kind === 'piece') change({ form: { kind } }, 'A piece.');
    else if (kind === 'continuous') change({ form: { kind, legs: ['start'] } }, 'Continuous: name its legs.');
    else if (exercise)
      change(
        { form: { kind, links: exercise.links.map((link) => link.element) } },
        'A chain: choose its links.',
      );
  };
  return (
    <>
      <SelectField
        label="Kind"
        value={form.kind}
        options={(Object.keys(FORM_WORDS) as (keyof typeof FORM_WORDS)[]).map((kind) => ({
          value: kind,
          words: FORM_WORDS[kind],
          disabled: kind === 'chain' && !exercise && form.kind !== 'chain',
        }))}
        onChange={choose}
      />
      {form.kind === 'continuous' && (
        <div className="mt-3">
          <ListField
            label="Legs, in order"
            items={form.legs}
            onTake={(legs) =>
              legs.length === 0
                ? 'One leg at least.'
                : void change({ form: { kind: 'continuous', legs } }, 'Legs changed.')
            }
          />
        </div>
      )}
      {form.kind === 'chain' && <ChainLinks element={element} links={form.links} state={state} />}
    </>
  );
}

function ChainLinks({
  element,
  links,
  state,
}: Pick<Opened, 'element' | 'state'> & { readonly links: readonly ElementRecord['id'][] }) {
  const change = useElementChange(element);
  const others = state.work.elements.filter(
    (one) => one.id !== element.id && one.retired === null && one.form.kind !== 'chain',
  );
  const toggle = (id: ElementRecord['id']): void => {
    const next = links.includes(id) ? links.filter((one) => one !== id) : [...links, id];
    if (next.length >= 2) change({ form: { kind: 'chain', links: next } }, 'Links changed.');
  };
  return (
    <fieldset className="mt-3">
      <legend className="text-sm font-semibold">
        Its links, in the order in which they are run (two at least)
      </legend>
      {others.map((one) => (
        <label key={one.id} className="mr-4 inline-flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-(--ink)"
            checked={links.includes(one.id)}
            onChange={() => toggle(one.id)}
          />
          {links.includes(one.id) && <span className="text-ink-soft">{links.indexOf(one.id) + 1}.</span>}
          {one.title}
        </label>
      ))}
    </fieldset>
  );
}

function KitField({
  element,
  onTake,
}: {
  readonly element: ElementRecord;
  readonly onTake: (kit: string[]) => void;
}) {
  const listed = (useKit() ?? []).map((thing) => thing.title);
  return (
    <ListField
      label="Kit it needs, with commas"
      hint={
        listed.length > 0
          ? `On your list: ${listed.join(', ')}`
          : 'Your kit list is empty; it is under Kennel.'
      }
      items={element.kit}
      onTake={(kit) => void onTake(kit)}
    />
  );
}

/**
 * Every fault that can be named here, and the rung from which it spoils a rep; before that it is
 * only noted.
 */
function FaultFields({ element, state }: Opened) {
  const change = useElementChange(element);
  const faults = namedFaults(element, state.work).filter((fault) => fault.by === 'dog' && !fault.miss);
  const ladder = buildLadder(element);
  const top = ladder.rungs.length;
  const [label, setLabel] = useState('');
  const fromOf = (fault: FaultRef): number => {
    const set = element.countsFrom.find((one) => sameFault(one.fault, fault));
    return set ? placeOn(ladder, set.from).rung : 0;
  };
  const set = (fault: FaultRef, rung: number): void => {
    const others = element.countsFrom.filter((one) => !sameFault(one.fault, fault));
    const from = ladder.rungs[rung]?.criteria ?? {};
    change(
      { countsFrom: rung === 0 ? others : [...others, { fault, from }] },
      rung === 0
        ? 'It counts from the start.'
        : `It counts from rung ${rung + 1} on; before that it is only noted.`,
    );
  };
  const add = (): void => {
    const clean = label.trim();
    if (clean === '') return;
    change(
      {
        faults: [
          ...element.faults,
          {
            key: `own-${element.faults.length + 1}-${clean.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.replace(
              /-$/,
              '',
            ),
            label: clean,
            by: 'dog',
            miss: false,
          },
        ],
      },
      'Fault added.',
    );
    setLabel('');
  };
  return (
    <>
      <p className="mb-3 max-w-4xl leading-snug">
        Let small things pass early and count them later: what is only noted does not spoil a clean rep, and
        stays unproven for the trial.
      </p>
      <ul className="grid gap-x-8 md:grid-cols-2">
        {faults.map((fault) => (
          <li
            key={faultText(fault.ref)}
            className="flex flex-wrap items-center justify-between gap-2 border-b border-hair py-1.5"
          >
            <span>{fault.label}</span>
            <SelectField
              label={`${fault.label} counts from`}
              shown="counts from"
              beside
              className="text-sm"
              look="min-h-11 bg-paper px-1 text-base"
              value={String(fromOf(fault.ref))}
              options={Array.from({ length: top }, (_, i) => ({ value: String(i), words: `rung ${i + 1}` }))}
              onChange={(rung) => set(fault.ref, Number(rung))}
            />
          </li>
        ))}
      </ul>
      <div className="mt-3 max-w-md">
        <TextField
          label="A further fault to watch for (Enter adds it)"
          value={label}
          onChange={(event) => setLabel(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
      </div>
    </>
  );
}
