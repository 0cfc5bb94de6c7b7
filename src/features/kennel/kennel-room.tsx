import { Link } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import { buttonClass, PageHead } from '@/ui';
import { DogSheet } from './dog-sheet';
import { DogsSheet } from './dogs-sheet';
import { KitSheet } from './kit-sheet';
import { LimitsSheet } from './limits-sheet';
import { OffWorkSheet } from './off-work-sheet';
import { SignalsSheet } from './signals-sheet';
import { VetSheet } from './vet-sheet';
import { tell } from './words';

/** The dog in hand and the kit: what cautions, ladders and sessions are told of them. */
export function KennelRoom() {
  const { dog, kennel } = useKennelWithDog();
  return (
    <>
      <PageHead title={tell('kennel-room.and-what-is-in-the-shed', { name: dog.name })}>
        {tell('kennel-room.written-down-once-used-everywhere')}
      </PageHead>
      <p className="mb-5">
        <Link className={buttonClass('plain')} to={`/${kennel.name}/start`}>
          {tell('kennel-room.add-another-dog')}
        </Link>
        <Link className={`ml-3 ${buttonClass('plain')}`} to={`/${kennel.name}/set-outs`}>
          {tell('kennel-room.grounds-and-paces')}
        </Link>
      </p>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <div className="grid content-start gap-6">
          <DogsSheet />
          <DogSheet key={dog.id} dog={dog} />
          <SignalsSheet dog={dog} />
        </div>
        <div className="grid content-start gap-6">
          <OffWorkSheet key={`off ${dog.id}`} dog={dog} />
          <VetSheet key={dog.id} dog={dog} />
          <LimitsSheet key={`limits ${dog.id}`} dog={dog} />
          <KitSheet />
        </div>
      </div>
    </>
  );
}
