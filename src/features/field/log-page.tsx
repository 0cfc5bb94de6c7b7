import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useParams } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import {
  boutsOn,
  coachFacts,
  type DatedBout,
  type ElementRecord,
  isWhole,
  logged,
  type NamedFault,
  namedFaults,
  trainableIn,
  workOf,
} from '@/data/read';
import { buttonClass, LongList, Notice, PageHead, Sheet } from '@/ui';
import { writeDay } from '@/words';
import { BoutSheet } from './bout-sheet';
import { tell } from './later-words';
import { TypeIn } from './type-in';

/** About how high a session of a dozen reps is, in pixels. */
const USUAL_HEIGHT = 900;

/**
 * Every bout of an element, moment by moment, with what was advised then. What was judged wrongly is
 * said again; what was said first stays in the log. Only the logs near the window are read.
 */
export function LogPage() {
  const { element: id } = useParams();
  const { kennel, dog } = useKennelWithDog();
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const element = work ? trainableIn(work, id) : null;
  const bouts = useLiveQuery(
    async () => (element ? (await boutsOn(kennel, element.id)).reverse() : []),
    [kennel, element?.id],
  );
  if (!work || !bouts) return <p className="text-lg">{tell('log-page.reading-the-log')}</p>;
  if (!element)
    return (
      <>
        <PageHead title={tell('log-page.there-is-no-such-element-for-this')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/field`}>
          {tell('log-page.choose-in-the-field')}
        </Link>
      </>
    );
  const faults = namedFaults(element, work);
  return (
    <>
      <PageHead title={tell('log-page.every-rep', { title: element.title })}>
        {tell('log-page.a-correction-stands-in-place-of')}
      </PageHead>
      <p className="mb-5">
        <Link className={buttonClass('plain')} to=".." relative="path">
          {tell('log-page.back-to-the-session')}
        </Link>
      </p>
      {!isWhole(element) && <TypeIn element={element} />}
      {bouts.length === 0 && <Notice>{tell('log-page.nothing-is-logged-of-it-yet')}</Notice>}
      <LongList
        label={tell('log-page.sessions')}
        items={bouts}
        keyOf={(bout) => bout.id}
        height={USUAL_HEIGHT}
      >
        {(bout) => <LoggedSheet element={element} faults={faults} bout={bout} />}
      </LongList>
    </>
  );
}

type LoggedProps = {
  readonly element: ElementRecord;
  readonly faults: readonly NamedFault[];
  readonly bout: DatedBout;
};

/** Reads the log of one bout, once it is near the window. */
function LoggedSheet({ element, faults, bout }: LoggedProps) {
  const { kennel } = useKennelWithDog();
  const found = useLiveQuery(
    async () => ({ log: await logged(kennel, bout), facts: await coachFacts(kennel, element, bout) }),
    [kennel, element, bout],
  );
  // As high as it will be: were it low while it is read, more and more would come near the window and be read.
  if (!found)
    return (
      <div style={{ minHeight: USUAL_HEIGHT }}>
        <Sheet title={writeDay(bout.day)}>
          <p>{tell('log-page.reading-the-log')}</p>
        </Sheet>
      </div>
    );
  return <BoutSheet element={element} faults={faults} logged={found.log} facts={found.facts} />;
}
