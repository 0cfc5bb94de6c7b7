import { Navigate, Outlet } from 'react-router';
import { useKennel } from '@/data/live';

/** Rooms behind this gate work on a dog; an empty kennel leads to the start. */
export function DogGate() {
  const context = useKennel();
  return context.dog ? (
    <Outlet context={context} />
  ) : (
    <Navigate to={`/${context.kennel.name}/start`} replace />
  );
}
