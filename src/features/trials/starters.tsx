import { useState } from 'react';
import { type RuleBook, sizeOf } from '@/core/rulebooks';
import { asId, type SizeKey, type StarterId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import type { Meeting, Starter } from '@/data/read';
import { changeMeeting } from '@/data/write';
import { Button, SelectField, TextField } from '@/ui';
import { tell } from './words';

const OTHER = 'other';

/** Enters a dog in a class: one of the kennel, or another one by its name and handler. */
export function AddStarter({ meeting, book }: { readonly meeting: Meeting; readonly book: RuleBook }) {
  const { kennel, done } = useKennel();
  const entered = meeting.starters.filter((one) => one.book === book.id);
  const dogs = (useDogs() ?? []).filter((dog) => !entered.some((one) => one.dogId === dog.id));
  const [dog, setDog] = useState('');
  const [name, setName] = useState('');
  const [handler, setHandler] = useState('');
  const [size, setSize] = useState('');
  const [problem, setProblem] = useState<string>();
  const mine = dogs.find((one) => one.id === dog);
  const add = async (): Promise<void> => {
    if (!mine && name.trim() === '') return setProblem(tell('new-run.which-dog'));
    const own = mine ? sizeOf(book, mine.height) : null;
    const added = await done(
      tell('starters.entered', { name: mine?.name ?? name.trim() }),
      changeMeeting(kennel, meeting.id, (stored) => ({
        starters: [
          ...stored.starters,
          {
            id: asId<StarterId>(crypto.randomUUID()),
            book: book.id,
            dogId: mine?.id ?? null,
            name: mine?.name ?? name.trim(),
            handler: handler.trim(),
            number: Math.max(0, ...stored.starters.map((one) => one.number)) + 1,
            size: size === '' ? own : asId<SizeKey>(size),
            inSeason: false,
            withdrawn: false,
          },
        ],
      })),
    );
    setProblem(undefined);
    if (!added.ok) return;
    setDog('');
    setName('');
  };
  return (
    <form
      className="mt-3 grid items-end gap-3 border-t border-rule pt-3 sm:grid-cols-4"
      aria-label={tell('starters.enter-in', { title: book.title })}
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <SelectField
        label={tell('new-run.dog')}
        value={mine ? dog : OTHER}
        options={[
          ...dogs.map((one) => ({ value: one.id as string, words: one.name })),
          { value: OTHER, words: tell('new-run.another-dog') },
        ]}
        onChange={setDog}
      />
      {!mine && (
        <TextField
          label={tell('new-run.its-name')}
          value={name}
          problem={problem}
          onChange={(event) => setName(event.target.value)}
        />
      )}
      <TextField
        label={tell('starters.handler')}
        value={handler}
        onChange={(event) => setHandler(event.target.value)}
      />
      {book.sizes && (
        <SelectField
          label={tell('sheet-page.size')}
          value={size}
          options={[
            { value: '', words: tell('sheet-page.no-size') },
            ...book.sizes.map(({ id, title }) => ({ value: id as string, words: title })),
          ]}
          onChange={setSize}
        />
      )}
      <Button type="submit">{tell('starters.enter')}</Button>
    </form>
  );
}

type ToolsProps = {
  readonly meeting: Meeting;
  readonly starter: Starter;
  readonly removable: boolean;
  readonly drawn: boolean;
};

/** What changes on the day: withdrawn, in season, a place up or down, taken out. */
export function StarterTools({ meeting, starter, removable, drawn }: ToolsProps) {
  const { kennel, done } = useKennel();
  const change = (to: Partial<Starter>): void =>
    void done(
      tell('starters.changed', { name: starter.name }),
      changeMeeting(kennel, meeting.id, (stored) => ({
        starters: stored.starters.map((one) => (one.id === starter.id ? { ...one, ...to } : one)),
      })),
    );
  const move = (by: -1 | 1): void =>
    void done(
      tell('starters.moved', { name: starter.name }),
      changeMeeting(kennel, meeting.id, (stored) => ({
        classes: stored.classes.map((one) =>
          one.book === starter.book ? { ...one, order: movedIn(one.order, starter.id, by) } : one,
        ),
      })),
    );
  const remove = (): void =>
    void done(
      tell('starters.taken-out', { name: starter.name }),
      changeMeeting(kennel, meeting.id, (stored) => ({
        starters: stored.starters.filter((one) => one.id !== starter.id),
        classes: stored.classes.map((one) => ({
          ...one,
          order: one.order.filter((id) => id !== starter.id),
        })),
      })),
    );
  const { name } = starter;
  return (
    <details className="relative">
      <summary
        aria-label={tell('starters.more-of', { name })}
        className="flex min-h-11 cursor-pointer items-center px-2 underline underline-offset-4"
      >
        {tell('starters.more')}
      </summary>
      <div className="flex flex-wrap justify-end gap-2 py-1">
        <Button aria-pressed={starter.withdrawn} onClick={() => change({ withdrawn: !starter.withdrawn })}>
          {tell('starters.withdrawn')}
        </Button>
        <Button aria-pressed={starter.inSeason} onClick={() => change({ inSeason: !starter.inSeason })}>
          {tell('starters.in-season')}
        </Button>
        {drawn && !starter.withdrawn && (
          <>
            <Button aria-label={tell('starters.earlier', { name })} onClick={() => move(-1)}>
              ↑
            </Button>
            <Button aria-label={tell('starters.later', { name })} onClick={() => move(1)}>
              ↓
            </Button>
          </>
        )}
        {removable && (
          <Button look="quiet" onClick={remove}>
            {tell('starters.take-out')}
          </Button>
        )}
      </div>
    </details>
  );
}

/** An order with one of it a place earlier or later; at its ends it stays. [a, b], b earlier → [b, a]. */
function movedIn(order: readonly StarterId[], id: StarterId, by: -1 | 1): StarterId[] {
  const from = order.indexOf(id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= order.length) return [...order];
  return order.toSpliced(from, 1).toSpliced(to, 0, id);
}
