import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useParams } from 'react-router';
import { asId, type BoutId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  boutsOn,
  clipsOfBout,
  coachFacts,
  isWhole,
  logged,
  lookBack,
  namedFaults,
  trainableIn,
  workOf,
} from '@/data/read';
import { buttonClass, Notice, PageHead } from '@/ui';
import { writeDay } from '@/words';
import { BoutSheet } from './bout-sheet';
import { Debrief } from './debrief';
import { tell } from './later-words';
import { LookBackSheet } from './look-back-sheet';

/** One bout looked at: where it could have ended, beside the time before, and every moment of it. */
export function BoutPage() {
  const { element: id, bout: boutId } = useParams();
  const { kennel, dog } = useKennelWithDog();
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const element = work ? trainableIn(work, id) : null;
  const found = useLiveQuery(async () => {
    if (!element) return null;
    const bout = (await boutsOn(kennel, element.id)).find((one) => one.id === boutId);
    if (!bout) return null;
    const log = await logged(kennel, bout);
    const [facts, back, stop, clips] = await Promise.all([
      coachFacts(kennel, element, bout),
      isWhole(element) ? null : lookBack(kennel, element, bout, log.folded),
      kennel.database.of('stops').get(asId<BoutId>(bout.id)),
      clipsOfBout(kennel, bout.id),
    ]);
    return { bout, log, facts, back, stop: stop?.after ?? null, clips };
  }, [kennel, element, boutId]);
  if (!work || found === undefined) return <p className="text-lg">{tell('log-page.reading-the-log')}</p>;
  if (!element || !found)
    return (
      <>
        <PageHead title={tell('bout-page.not-there')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/review`}>
          {tell('bout-page.to-the-diary')}
        </Link>
      </>
    );
  const { bout, log, facts, back, stop, clips } = found;
  return (
    <>
      <PageHead
        title={tell('bout-page.title', { name: dog.name, title: element.title, day: writeDay(bout.day) })}
      >
        {tell('log-page.a-correction-stands-in-place-of')}
      </PageHead>
      <p className="mb-4 flex flex-wrap gap-3">
        <Link className={buttonClass('plain')} to={`/${kennel.name}/review`}>
          {tell('bout-page.to-the-diary')}
        </Link>
        <Link
          className={buttonClass('plain')}
          to={`/${kennel.name}/clips${clips.length === 1 ? `/${clips[0]?.id}` : ''}`}
        >
          {tell('bout-page.clips', { count: clips.length })}
        </Link>
        <Link className={buttonClass('quiet')} to={`/${kennel.name}/field/${element.id}/log`}>
          {tell('bout-page.every-bout')}
        </Link>
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-[2fr_3fr]">
        <div className="grid gap-5">
          {back && (
            <LookBackSheet element={element} bout={bout} folded={log.folded} back={back} stop={stop} />
          )}
          {bout.endedAt !== null && <Debrief key={bout.id} bout={bout} />}
          {bout.endedAt === null && <Notice>{tell('bout-page.still-open')}</Notice>}
        </div>
        <BoutSheet element={element} faults={namedFaults(element, work)} logged={log} facts={facts} />
      </div>
    </>
  );
}
