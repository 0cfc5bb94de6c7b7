import { useLiveQuery } from 'dexie-react-hooks';
import { useKennel } from '@/data/live';
import { type Dog, type Shareable, workToShare } from '@/data/read';
import { Button } from '@/ui';
import { tell } from './words';

/** What the other dogs train, one tap each: the same ladder, begun at its start. */
export function SameAs({
  known,
  onTake,
}: {
  /** The dog for which something is chosen; null where it is not in the kennel yet. */
  readonly known: Dog['id'] | null;
  readonly onTake: (one: Shareable) => void;
}) {
  const { kennel } = useKennel();
  const all = useLiveQuery(() => workToShare(kennel, known), [kennel, known]);
  if (!all || all.length === 0) return null;
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{tell('same-as.the-same-as-another-dog')}</legend>
      <div className="mt-1 grid gap-2">
        {all.slice(0, 8).map((one) => (
          <Button
            key={one.kind === 'exercise' ? one.exercise.id : one.element.id}
            size="big"
            className="!justify-start text-left"
            onClick={() => onTake(one)}
          >
            {tell('same-as.title-as-dog', { title: one.title, name: one.dog.name })}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
