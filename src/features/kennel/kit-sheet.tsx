import { X } from 'lucide-react';
import { useState } from 'react';
import { sizesWritten } from '@/core/breakdown';
import { useKennel, useKit } from '@/data/live';
import { addKit, removeKit } from '@/data/write';
import { Button, Sheet, TextField } from '@/ui';
import { numberCustom, sizesText, wordsOf } from '@/words';
import { tell } from './words';

/** What there is to train with. A ladder that needs something else says so. */
export function KitSheet() {
  const { kennel, done } = useKennel();
  const kit = useKit();
  const [title, setTitle] = useState('');
  const [problem, setProblem] = useState<string>();
  const add = async (): Promise<void> => {
    // "tubs: 90 L, 65 L": what it is, and the sizes that are owned.
    const [name = '', written] = title.split(/:(.*)/s);
    const sized = written?.trim() ? sizesWritten(written, numberCustom()) : null;
    if (sized && !sized.ok) return setProblem(wordsOf(sized.message));
    const added = await addKit(kennel, name, sized?.value ?? null);
    setProblem(added.ok ? undefined : wordsOf(added.message));
    if (added.ok) setTitle('');
  };
  return (
    <Sheet title={tell('kit-sheet.kit')} aside={kit ? tell('kit-sheet.things', { n: kit.length }) : ''}>
      <ul className="flex flex-wrap gap-2">
        {(kit ?? []).map((thing) => (
          <li key={thing.id} className="flex items-center border-2 border-rule pl-3">
            {thing.title}
            {thing.sizes.length > 0 &&
              thing.quantity &&
              `: ${sizesText(thing.quantity, thing.unit, thing.sizes)}`}
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
          hint={tell('kit-sheet.with-the-sizes-you-own-after-a-colon')}
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
