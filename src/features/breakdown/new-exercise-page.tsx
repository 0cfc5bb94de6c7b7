import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { AXIS_KINDS, methodsIn } from '@/core/breakdown';
import { type AxisKey, asId } from '@/core/shared';
import { type DogState, useDog, useKennelWithDog } from '@/data/live';
import { activeElements } from '@/data/read';
import { type ExercisePlan, makeExercise } from '@/data/write';
import { Button, Notice, PageHead, SelectField, TextField } from '@/ui';
import { regionNow, wordsOf } from '@/words';
import type { BeforeDraft } from './befores';
import {
  answered,
  freshKey,
  type LinkDraft,
  linkByHand,
  moved,
  type Problems,
  readLinks,
} from './exercise-draft';
import {
  type Source,
  type SourceGroup,
  sourceGroups,
  startingBefores,
  startingLinks,
} from './exercise-sources';
import { LinkFields } from './link-fields';
import { MethodChoices } from './method-choices';
import { firstSides, onRoute, type Sides, settingsOf } from './sides';
import { tell } from './words';

/** The methods in this person's words. */
const METHODS_HERE = methodsIn(regionNow());

/**
 * Breaking an exercise into elements: from a rule book, from a method, like another exercise, or by
 * hand.
 */
export function NewExercisePage() {
  const state = useDog();
  if (!state) return <p className="text-lg">{tell('new-exercise-page.reading-the-log')}</p>;
  return <Opened state={state} />;
}

const methodOf = (source: Source) => (source.kind === 'method' ? source.method : null);

function Opened({ state }: { readonly state: DogState }) {
  const { kennel, dog, done } = useKennelWithDog();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const groups = useMemo(() => sourceGroups(state.work, METHODS_HERE), [state]);
  const all = groups.flatMap((group) => group.sources);
  const [source, setSource] = useState<Source>(
    () => all.find((one) => one.id === params.get('from')) ?? BY_HAND,
  );
  const [links, setLinks] = useState<readonly LinkDraft[]>(() =>
    answered(startingLinks(source, state.work), params.get('now') ?? '', params.get('wanted') ?? ''),
  );
  const [befores, setBefores] = useState<readonly BeforeDraft[]>(() => startingBefores(source, state.work));
  const [sides, setSides] = useState<Sides>(() => firstSides(methodOf(source)));
  const [title, setTitle] = useState(source.title);
  const [goal, setGoal] = useState('');
  // Read again with every letter once somebody wanted to save: what is mended says so at once.
  const [tried, setTried] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const settings = settingsOf(sides);
  const choose = (next: Source): void => {
    setSource(next);
    setTitle(next.title);
    setLinks(startingLinks(next, state.work));
    setBefores(startingBefores(next, state.work));
    setSides(firstSides(methodOf(next)));
    setTried(false);
    setFailed(null);
  };
  // A route leaves out the pieces of the other ones; taking another one brings them back.
  const shown = onRoute(links, settings);
  const own = source.kind !== 'rule-book';
  const read = readLinks(shown, dog.id, { befores, settings, elements: activeElements(state.work) });
  const wrong: Problems =
    own && title.trim() === ''
      ? { ...read.problems, title: tell('new-exercise-page.give-the-exercise-a-name') }
      : read.problems;
  const problems: Problems = {
    ...(tried ? wrong : {}),
    ...(failed === null ? {} : { whole: failed }),
  };
  const save = async (): Promise<void> => {
    setTried(true);
    setFailed(null);
    if (Object.keys(wrong).length > 0) return;
    const from: ExercisePlan['source'] =
      source.kind === 'rule-book'
        ? { ruleBookId: source.book.id, exercise: source.exercise.id }
        : { title: title.trim(), goal: goal.trim() };
    const plan = { dogId: dog.id, source: from, links: read.plans, besides: read.besides };
    const made = await done(tell('new-exercise-page.broken-down'), makeExercise(kennel, plan));
    if (!made.ok) return setFailed(wordsOf(made.message));
    await navigate('..', { relative: 'path' });
  };
  const count = Object.keys(problems).length;
  return (
    <>
      <PageHead title={tell('new-exercise-page.break-an-exercise-down')}>
        {tell('new-exercise-page.into-pieces-that-can-be-trained', { name: dog.name })}
      </PageHead>
      <div className="grid gap-5">
        <SourceChoice groups={groups} chosen={source} onChoose={choose} />
        {own && (
          <div className="grid gap-4 sm:grid-cols-2">
            <TextField
              label={tell('new-exercise-page.name-of-the-exercise')}
              value={title}
              problem={problems.title}
              onChange={(event) => setTitle(event.target.value)}
            />
            <TextField
              label={tell('new-exercise-page.what-it-is-for-if-you-like')}
              value={goal}
              onChange={(event) => setGoal(event.target.value)}
            />
          </div>
        )}
        {source.kind === 'method' && (
          <MethodChoices
            method={source.method}
            befores={befores}
            elements={activeElements(state.work)}
            sides={sides}
            onBefores={setBefores}
            onSides={setSides}
          />
        )}
        {shown.map((link, i) => (
          <LinkFields
            key={link.id}
            link={link}
            place={i}
            last={i === shown.length - 1}
            settings={settings}
            problems={problems}
            elements={activeElements(state.work)}
            onChange={(next) => setLinks(links.map((one) => (one.id === link.id ? next : one)))}
            onMove={(by) =>
              setLinks([...moved(shown, i, i + by), ...links.filter((one) => !shown.includes(one))])
            }
            onRemove={
              own && links.length > 1 ? () => setLinks(links.filter((one) => one.id !== link.id)) : null
            }
          />
        ))}
        {own && (
          <p>
            <Button onClick={() => setLinks([...links, linkByHand(freshKey(), firstKind())])}>
              {tell('new-exercise-page.add-a-link')}
            </Button>
          </p>
        )}
        {count > 0 && (
          <Notice tone="alert" role="alert">
            {problems.whole ??
              tell('new-exercise-page.another-look-nothing-is-saved-yet', {
                count:
                  count === 1
                    ? tell('new-exercise-page.one-field-wants')
                    : tell('new-exercise-page.fields-want', { count }),
              })}
          </Notice>
        )}
        <p>
          <Button look="signal" size="big" onClick={() => void save()}>
            {tell('new-exercise-page.break-it-down')}
          </Button>
        </p>
      </div>
    </>
  );
}

const BY_HAND: Source = { kind: 'hand', id: 'hand', title: '' };
const firstKind = () => AXIS_KINDS[0].make(asId<AxisKey>('distance'), wordsOf(AXIS_KINDS[0].title));

function SourceChoice({
  groups,
  chosen,
  onChoose,
}: {
  readonly groups: readonly SourceGroup[];
  readonly chosen: Source;
  readonly onChoose: (source: Source) => void;
}) {
  return (
    <SelectField
      label={tell('new-exercise-page.begin-from')}
      look="mt-1 block min-h-12 w-full max-w-2xl bg-sheet px-2 text-lg"
      value={chosen.id}
      options={[
        { value: 'hand', words: tell('new-exercise-page.nothing-by-hand') },
        ...groups.flatMap((group) =>
          group.sources.map((source) => ({ value: source.id, words: source.title, group: group.title })),
        ),
      ]}
      onChange={(id) =>
        onChoose(groups.flatMap((group) => group.sources).find((one) => one.id === id) ?? BY_HAND)
      }
    />
  );
}
