import { useLiveQuery } from 'dexie-react-hooks';
import type { Day } from '@/core/shared';
import { isOuting, type Kennel } from '@/data/read';
import { Button } from '@/ui';
import { tell } from '@/words/shell';
import { useNewer } from './offline';

/** A newer version of the program, offered once nothing is under way. */
export function NewerLine({ kennel, today }: { readonly kennel: Kennel; readonly today: Day }) {
  const take = useNewer((state) => state.take);
  const busy = useLiveQuery(() => isOuting(kennel, today), [kennel, today]);
  if (!take || busy !== false) return null;
  return (
    <p
      role="status"
      className="flex flex-wrap items-center justify-center gap-3 border-b-2 border-ink bg-sheet px-4 py-1.5"
    >
      {tell('newer-line.a-newer-regulon-is-here')}
      <Button look="ink" onClick={take}>
        {tell('newer-line.take-it-now')}
      </Button>
    </p>
  );
}
