import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import type { FaultCount } from '@/core/evidence';
import { useDog, useKennelWithDog } from '@/data/live';
import {
  boutLog,
  coachFacts,
  type DatedBout,
  type ElementRecord,
  faultsBefore,
  isRunning,
  lastBout,
  sameWorkOf,
  workOf,
} from '@/data/read';
import { Notice } from '@/ui';
import { BeforeCard } from './before-card';
import { Pad } from './pad';
import { usePad } from './pad-store';
import { tell } from './words';

/**
 * One element in the field: the card before it, and the pad while a session is open. Work, bout and
 * log are read apart, so that a rep reads its own log again and nothing else.
 */
export function SessionPage() {
  const { element: id } = useParams();
  const { kennel, dog, today, now } = useKennelWithDog();
  const reset = usePad((state) => state.reset);
  useEffect(() => reset, [reset]);
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const element = work?.elements.find((candidate) => candidate.id === id) ?? null;
  const found = useLiveQuery(
    async () => (element ? { of: element.id, last: await lastBout(kennel, element.id) } : null),
    [kennel, element?.id],
  );
  if (!work) return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  if (!element) return <Notice tone="alert">{tell('session-page.there-is-no-such-element-for-this')}</Notice>;
  if (found?.of !== element.id) return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  const { last } = found;
  return last && isRunning(last, today, now()) ? (
    <OpenPad key={last.id} element={element} work={work} bout={last} />
  ) : (
    <Before element={element} last={last} />
  );
}

type Open = {
  readonly element: ElementRecord;
  readonly work: Awaited<ReturnType<typeof workOf>>;
  readonly bout: DatedBout;
};

function OpenPad({ element, work, bout }: Open) {
  const { kennel } = useKennelWithDog();
  const entries = useLiveQuery(() => boutLog(kennel, bout.id), [kennel, bout.id]);
  const facts = useLiveQuery(() => coachFacts(kennel, element, bout), [kennel, element, bout]);
  const seen = useFaultsBefore(element, bout);
  if (!entries || !facts || !seen) return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  return <Pad element={element} work={work} bout={bout} entries={entries} facts={facts} seen={seen} />;
}

/** Read once: what was seen before a bout does not change while it runs, and no tap reads it again. */
function useFaultsBefore(element: ElementRecord, bout: DatedBout): readonly FaultCount[] | null {
  const { kennel } = useKennelWithDog();
  const [seen, setSeen] = useState<readonly FaultCount[] | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the bout is a new value with every rep, and the same bout
  useEffect(() => {
    let current = true;
    void faultsBefore(kennel, element.id, bout).then((found) => current && setSeen(found));
    return () => {
      current = false;
    };
  }, [kennel, element.id, bout.id]);
  return seen;
}

function Before({ element, last }: { readonly element: ElementRecord; readonly last: DatedBout | null }) {
  const { kennel } = useKennelWithDog();
  const state = useDog();
  const same = useLiveQuery(() => sameWorkOf(kennel, element), [kennel, element]);
  if (!state || !same) return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  return (
    <BeforeCard
      element={element}
      last={last}
      stands={state.stands.get(element.id) ?? null}
      work={state.work}
      evidence={state.evidence}
      dogs={same.filter((one) => one.element !== null).length}
    />
  );
}
