import { X } from 'lucide-react';
import { useState } from 'react';
import { useKennel, useKit } from '@/data/live';
import { addKit, removeKit } from '@/data/write';
import { Button, Sheet, TextField } from '@/ui';

/** What there is to train with. A ladder that needs something else says so. */
export function KitSheet() {
  const { kennel, done } = useKennel();
  const kit = useKit();
  const [title, setTitle] = useState('');
  const [problem, setProblem] = useState<string>();
  const add = async (): Promise<void> => {
    const added = await addKit(kennel, title);
    setProblem(added.ok ? undefined : added.message);
    if (added.ok) setTitle('');
  };
  return (
    <Sheet title="Kit" aside={kit ? `${kit.length} ${kit.length === 1 ? 'thing' : 'things'}` : ''}>
      <ul className="flex flex-wrap gap-2">
        {(kit ?? []).map((thing) => (
          <li key={thing.id} className="flex items-center border-2 border-rule pl-3">
            {thing.title}
            <Button
              look="quiet"
              className="!px-2.5"
              aria-label={`Take ${thing.title} off the list`}
              onClick={() => void done(`${thing.title} is off the list.`, removeKit(kennel, thing.id))}
            >
              <X aria-hidden="true" className="size-4" />
            </Button>
          </li>
        ))}
        {kit?.length === 0 && (
          <li className="leading-snug">
            Nothing yet. Write a thing as the methods call it: dummies, thin dowel, platform.
          </li>
        )}
      </ul>
      <form
        className="mt-3 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <TextField
          label="A further thing"
          className="flex-1"
          value={title}
          problem={problem}
          onChange={(event) => setTitle(event.target.value)}
        />
        <Button type="submit" look="ink">
          Add it
        </Button>
      </form>
    </Sheet>
  );
}
