import { useEffect } from 'react';
import { Navigate } from 'react-router';
import { now } from '../clock';
import { useTour } from './tour-store';

/** An address that begins the round, for links from anywhere. */
export function BeginTour() {
  const begin = useTour((state) => state.begin);
  useEffect(() => begin(now()), [begin]);
  return <Navigate to="/sample/today" replace />;
}
