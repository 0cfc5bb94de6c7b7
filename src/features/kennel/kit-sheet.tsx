import { X } from 'lucide-react';
import { useState } from 'react';
import { useKennel, useKit } from '@/data/live';
import { addKit, removeKit } from '@/data/write';
import { Button, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

/** What there is to train with. A ladder that needs something else says so. */
export function KitSheet() {
  const { kennel, done } = useKennel();
  const kit = useKit();
  const [title, setTitle] = useState('');
  const [problem, setProblem] = useState<string>();
  const add = async (): Promise<void> => {
    const added = await addKit(kennel, title);
    setProblem(added.ok ? undefined : wordsOf(added.message));
    if (added.ok) setTitle('');
  };
  return (
    <Sheet title={tell('kit-sheet.kit')} aside={kit ? tell('kit-sheet.things', { n: kit.length }) : ''}>
      <ul className="flex flex-wrap gap-2">
        {(kit ?? []).map((thing) => (
          <li key={thing.id} className="flex items-center border-2 border-rule pl-3">
            {thing.title}
            <Button
              look="quiet"
              className="!px-2.5"
              aria-label={tell('kit-sheet.take-off-the-list', { title: thing.title })}
              onClick={() =>
                void done(
                  tell('kit-sheet.is-off-the-list', { title: thing.title }),
                  removeKit(kennel, thing.id),
                )
              }
            >
              <X aria-hidden="true" className="size-4" />
            </Button>
          </li>
        ))}
        {kit?.length === 0 && (
          <li className="leading-snug">{tell('kit-sheet.nothing-yet-write-a-thing-as-the')}</li>
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
          label={tell('kit-sheet.a-further-thing')}
          className="flex-1"
          value={title}
          problem={problem}
          onChange={(event) => setTitle(event.target.value)}
        />
        <Button type="submit" look="ink">
          {tell('kit-sheet.add-it')}
        </Button>
      </form>
    </Sheet>
  );
}
