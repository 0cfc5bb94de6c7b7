import { useState } from 'react';
import { useNavigate } from 'react-router';
import { openness, WORK_TAGS, type WorkTag } from '@/core/breakdown';
import { useKennel, useKit } from '@/data/live';
import { type ElementRecord, prerequisiteGraph } from '@/data/read';
import { putElementAway } from '@/data/write';
import { Button, ListField, Notice, SelectField, Sheet, TextField } from '@/ui';
import { ArticlesFields, SetOutField } from './articles-fields';
import { AssignSessions } from './assign-sessions';
import { ConditionFields } from './condition-fields';
import { type Opened, useOpened } from './element-room';
import { FaultFields } from './fault-fields';
import { NeedsFields } from './needs-fields';
import { Reshape } from './reshape';
import { useElementChange } from './use-element-change';
import { tell } from './words';

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
      <Sheet title={tell('about-page.name-and-kind')}>
        <NameField element={element} />
        <div className="mt-3">
          <FormFields {...opened} />
        </div>
      </Sheet>
      <Sheet
        title={tell('about-page.waits-for')}
        aside={open ? tell('about-page.open-it-can-be-worked-on') : tell('about-page.blocked')}
      >
        {waits.length > 0 && (
          <Notice tone="alert">{tell('about-page.it-waits', { waits: waits.join('; ') })}</Notice>
        )}
        <NeedsFields element={element} state={state} />
      </Sheet>
      <Sheet title={tell('about-page.faults-and-from-which-rung-they')} className="lg:col-span-2">
        <FaultFields {...opened} />
      </Sheet>
      <Sheet title={tell('about-page.kit-and-kind-of-work')}>
        <SetOutField element={element} />
        <ArticlesFields element={element} />
        <KitField element={element} onTake={(kit) => change({ kit }, tell('about-page.kit-changed'))} />
        <fieldset className="mt-4">
          <legend className="text-sm font-semibold">{tell('about-page.what-the-work-loads-or-risks')}</legend>
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
                    tell('about-page.kind-of-work-changed'),
                  )
                }
              />
              {TAG_WORDS[tag]}
            </label>
          ))}
        </fieldset>
      </Sheet>
      <Sheet
        title={tell('about-page.conditions')}
        aside={tell('about-page.neither-harder-nor-easier-surface')}
      >
        <ConditionFields element={element} />
      </Sheet>
      <div className="lg:col-span-2">
        <Reshape {...opened} />
      </div>
      <Sheet title={tell('about-page.put-it-away')} aside={tell('about-page.its-reps-and-ladder-are-kept')}>
        <p className="mb-3 leading-snug">{tell('about-page.it-leaves-today-field-and-breakdown')}</p>
        <PutAway element={element} />
      </Sheet>
    </div>
  );
}

function PutAway({ element }: { readonly element: ElementRecord }) {
  const { kennel, done } = useKennel();
  const navigate = useNavigate();
  const put = async (): Promise<void> => {
    const away = await done(
      tell('about-page.is-put-away', { title: element.title }),
      putElementAway(kennel, element.id, !element.putAway),
    );
    if (away.ok && !element.putAway) await navigate(`/${kennel.name}/breakdown`);
  };
  return (
    <Button onClick={() => void put()}>
      {element.putAway ? tell('about-page.bring-it-back') : tell('about-page.put-it-away')}
    </Button>
  );
}

const TAG_WORDS: Readonly<Record<WorkTag, string>> = {
  jump: tell('about-page.jumps'),
  turn: tell('about-page.sharp-turns'),
  upright: tell('about-page.upright'),
  strength: tell('about-page.strength'),
  pull: tell('about-page.pulls'),
  tug: tell('about-page.tug'),
  tether: tell('about-page.tether'),
  'worn-kit': tell('about-page.kit-worn-on-the-head'),
  water: tell('about-page.water'),
  retrieve: tell('about-page.fetches'),
  laid: tell('about-page.never-sent-for-nothing-what-lies'),
  birds: tell('about-page.birds-field'),
  run: tell('about-page.fast-runs'),
  scent: tell('about-page.scent'),
  biter: tell('about-page.may-bite'),
  catch: tell('about-page.catches-and-vaults'),
  fingers: tell('about-page.your-fingers-in-its-mouth'),
  table: tell('about-page.stands-on-a-table'),
};

function NameField({ element }: { readonly element: ElementRecord }) {
  const change = useElementChange(element);
  const [text, setText] = useState(element.title);
  const clean = text.trim();
  return (
    <TextField
      label={tell('about-page.name')}
      value={text}
      problem={clean === '' ? tell('about-page.an-element-needs-a-name-the-old') : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={() =>
        clean !== '' && clean !== element.title && change({ title: clean }, tell('about-page.name-changed'))
      }
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

const FORM_WORDS = {
  piece: tell('about-page.a-piece-rep-by-rep'),
  chain: tell('about-page.a-chain-of-other-pieces'),
  continuous: tell('about-page.continuous-by-legs-and-the-clock'),
} as const;

/** A piece, a chain that knows its links, or continuous work with its legs. */
function FormFields({ element, state }: Opened) {
  const change = useElementChange(element);
  const { form } = element;
  const exercise = state.work.breakdowns.find(
    (one) => one.links.length > 1 && one.links.every((link) => link.element !== element.id),
  );
  const choose = (kind: keyof typeof FORM_WORDS): void => {
    if (kind === 'piece') change({ form: { kind } }, tell('about-page.a-piece'));
    else if (kind === 'continuous')
      change({ form: { kind, legs: ['start'] } }, tell('about-page.continuous-name-its-legs'));
    else if (exercise)
      change(
        { form: { kind, links: exercise.links.map((link) => link.element) } },
        tell('about-page.a-chain-choose-its-links'),
      );
  };
  return (
    <>
      <SelectField
        label={tell('about-page.kind')}
        value={form.kind}
        options={(Object.keys(FORM_WORDS) as (keyof typeof FORM_WORDS)[])
          // Pieces are joined by running their exercise whole, which asks no criterion of its own.
          .filter((kind) => kind !== 'chain' || form.kind === 'chain')
          .map((kind) => ({ value: kind, words: FORM_WORDS[kind] }))}
        onChange={choose}
      />
      {form.kind === 'continuous' && (
        <div className="mt-3">
          <ListField
            label={tell('about-page.legs-in-order')}
            items={form.legs}
            onTake={(legs) =>
              legs.length === 0
                ? tell('about-page.one-leg-at-least')
                : void change({ form: { kind: 'continuous', legs } }, tell('about-page.legs-changed'))
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
    if (next.length >= 2) change({ form: { kind: 'chain', links: next } }, tell('about-page.links-changed'));
  };
  return (
    <fieldset className="mt-3">
      <legend className="text-sm font-semibold">{tell('about-page.its-links-in-the-order-in-which')}</legend>
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
      label={tell('about-page.kit-it-needs-with-commas')}
      hint={
        listed.length > 0
          ? tell('about-page.on-your-list', { listed: listed.join(', ') })
          : tell('about-page.your-kit-list-is-empty-it-is-under')
      }
      items={element.kit}
      onTake={(kit) => void onTake(kit)}
    />
  );
}
