import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { DogId } from '@/core/shared';
import { useDogs, useKennelWithDog, useWork } from '@/data/live';
import {
  activeElements,
  addressOf,
  type DogWork,
  type ElementRecord,
  exerciseTitle,
  isOffWork,
  type Lesson,
  sameWorkOf,
  wholeId,
} from '@/data/read';
import { Button, buttonClass, Dialog } from '@/ui';
import { tell } from './later-words';

type Props = {
  readonly lesson: Lesson;
  /** What is on the page: other dogs that train the same come first. */
  readonly current: string;
  readonly onClose: () => void;
};

/** Another element, another dog or a whole exercise joins the lesson; its card comes first. */
export function AddToLesson({ lesson, current, onClose }: Props) {
  const { kennel, dog, today } = useKennelWithDog();
  const navigate = useNavigate();
  const dogs = (useDogs() ?? []).filter((one) => !isOffWork(one, today));
  const [of, setOf] = useState<DogId>(dog.id);
  const work = useWork(of);
  const here = useMemo(() => new Set(lesson.bouts.map((one) => addressOf(one.bout) as string)), [lesson]);
  const same = useLiveQuery(async () => {
    const element = await kennel.database.of('elements').get(current);
    return element ? await sameWorkOf(kennel, element) : [];
  }, [kennel, current]);
  const go = (id: string): void => {
    onClose();
    void navigate(`/${kennel.name}/field/${id}`);
  };
  const pick = (id: string, words: string) => (
    <Button key={id} size="big" className="!justify-start text-left" onClick={() => go(id)}>
      {words}
    </Button>
  );
  const others = (same ?? []).flatMap(({ dog: other, element }) =>
    element && !here.has(element.id) && dogs.some((one) => one.id === other.id) ? [{ other, element }] : [],
  );
  return (
    <Dialog open onClose={onClose} title={tell('add-to-lesson.what-comes-next')}>
      <div className="grid gap-4">
        {others.length > 0 && (
          <fieldset className="grid gap-2">
            <legend className="mb-1 font-semibold">{tell('add-to-lesson.the-same-with')}</legend>
            {others.map(({ other, element }) => pick(element.id, other.name))}
          </fieldset>
        )}
        {dogs.length > 1 && (
          <fieldset className="flex flex-wrap gap-2" aria-label={tell('add-to-lesson.dog')}>
            {dogs.map((one) => (
              <Button
                key={one.id}
                size="big"
                look={one.id === of ? 'ink' : 'plain'}
                aria-pressed={one.id === of}
                onClick={() => setOf(one.id)}
              >
                {one.name}
              </Button>
            ))}
          </fieldset>
        )}
        <div className="grid gap-2">
          {(work ? inChainOrder(work) : [])
            .filter((one) => !here.has(one.id))
            .map((one) => pick(one.id, one.title))}
          {work?.breakdowns
            .filter((one) => !here.has(wholeId(one.id)))
            .map((one) =>
              pick(wholeId(one.id), tell('add-to-lesson.whole', { title: exerciseTitle(one, work) })),
            )}
          <Link className={buttonClass('quiet', 'big')} to={`/${kennel.name}/start?dog=${of}`}>
            {tell('add-to-lesson.something-new')}
          </Link>
        </div>
      </div>
    </Dialog>
  );
}

/** Elements in the order of the exercises that they stand in, then the others. */
function inChainOrder(work: DogWork): ElementRecord[] {
  const chain = [...new Set(work.breakdowns.flatMap((one) => one.links.map((link) => link.element)))];
  const place = ({ id }: ElementRecord): number => (chain.includes(id) ? chain.indexOf(id) : chain.length);
  return [...activeElements(work)].sort((a, b) => place(a) - place(b));
}
