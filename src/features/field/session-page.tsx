import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Criteria } from '@/core/breakdown';
import type { FaultCount } from '@/core/evidence';
import type { ElementId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  boutLog,
  coachFacts,
  type DatedBout,
  type ElementRecord,
  faultsBefore,
  isRunning,
  isWhole,
  lastBout,
  standsAt,
  trainableIn,
  workOf,
} from '@/data/read';
import { buttonClass, PageHead } from '@/ui';
import { Pad } from './pad';
import { usePad } from './pad-store';
import { SwitchBar } from './switch-bar';
import { tell } from './words';

/**
 * One element in the field, or an exercise run whole: the card before it, and the pad while a bout is open,
 * under the bar of the lesson. Work, bout and log are read apart, so that a rep reads its own log again and
 * nothing else.
 */
export function SessionPage() {
  const { element: id } = useParams();
  const { kennel, dog, today, now } = useKennelWithDog();
  const reset = usePad((state) => state.reset);
  // What was stamped or said for one is not logged for the next.
  // biome-ignore lint/correctness/useExhaustiveDependencies: another element or dog is another pad
  useEffect(() => reset, [reset, id]);
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const element = useMemo(() => (work ? trainableIn(work, id) : null), [work, id]);
  const found = useLiveQuery(
    async () => (element ? { of: element.id, last: await lastBout(kennel, element.id) } : null),
    [kennel, element?.id],
  );
  if (!work) return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  if (!element) return <NoElement />;
  if (found?.of !== element.id) return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  const { last } = found;
  const runs = last !== null && isRunning(last, today, now());
  return (
    <>
      <SwitchBar current={element.id} bout={runs ? last : null} />
      {runs && last ? (
        <OpenPad key={last.id} element={element} work={work} bout={last} />
      ) : (
        <Before key={element.id} element={element} last={last} />
      )}
    </>
  );
}

/** An address that leads nowhere: an old link, or something that was removed. */
function NoElement() {
  const { kennel } = useKennelWithDog();
  return (
    <>
      <PageHead title={tell('session-page.nothing-here')}>
        {tell('session-page.there-is-no-such-element')}
      </PageHead>
      <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/field`}>
        {tell('session-page.choose-in-the-field')}
      </Link>
    </>
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
  const stands = useLinkStands(element);
  if (!entries || !facts || !seen || !stands)
    return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  return (
    <Pad
      element={element}
      work={work}
      bout={bout}
      entries={entries}
      facts={facts}
      seen={seen}
      stands={stands}
    />
  );
}

/** Where the dog stands on each link of an exercise that is run whole; nothing for an element. */
function useLinkStands(element: ElementRecord): ReadonlyMap<ElementId, Criteria> | undefined {
  const { kennel } = useKennelWithDog();
  const links = isWhole(element) && element.form.kind === 'chain' ? element.form.links : NO_LINKS;
  return useLiveQuery(async () => {
    const found = await Promise.all(links.map(async (id) => [id, await standsAt(kennel, id)] as const));
    return new Map(found.flatMap(([id, at]) => (at ? [[id, at] as const] : [])));
  }, [kennel, links.join(' ')]);
}
const NO_LINKS: readonly ElementId[] = [];

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

// A session is begun from Today without it; what a phone loads first is the pad.
const LazyBefore = lazy(async () => ({ default: (await import('./before')).Before }));

function Before(props: { readonly element: ElementRecord; readonly last: DatedBout | null }) {
  return (
    <Suspense fallback={<p className="text-lg">{tell('session-page.reading-the-log')}</p>}>
      <LazyBefore {...props} />
    </Suspense>
  );
}
