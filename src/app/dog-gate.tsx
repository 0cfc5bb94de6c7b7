import { useLiveQuery } from 'dexie-react-hooks';
import { Navigate, Outlet } from 'react-router';
import { useKennel } from '@/data/live';
import { listDogs } from '@/data/read';
import { tell } from '@/words/shell';

/**
 * Rooms behind this gate work on a dog; an empty kennel leads to the start. Asked anew at the gate: whoever
 * has just made the first dog comes before the page around knows it.
 */
export function DogGate() {
  const context = useKennel();
  const { kennel, dog } = context;
  const empty = useLiveQuery(
    async () => dog === null && (await listDogs(kennel)).length === 0,
    [kennel, dog],
  );
  if (dog) return <Outlet context={context} />;
  if (empty) return <Navigate to={`/${kennel.name}/start`} replace />;
  return <p className="text-lg">{tell('kennel-frame.reading-the-log')}</p>;
}
