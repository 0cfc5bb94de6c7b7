import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { buildLadder, describePlace } from '@/core/breakdown';
import { plainRep } from '@/core/log';
import { type ElementId, ok, type Result } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { ClassTile } from '@/data/read';
import { endBout, record, recordUndo, startBout } from '@/data/write';
import { Button, Dialog, SelectField } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from '../later-words';

/** Held so long, a tile asks what else it was. */
const HOLD = 450;

type Props = { readonly tile: ClassTile; readonly onElement: (element: ElementId) => void };

/** One dog: a tap is a clean go, a hold or the button below asks what else it was. */
export function Tile({ tile, onElement }: Props) {
  const { kennel, today, done } = useKennel();
  const { dog, element, elements, asked, bout, goes, clean, missed, rests } = tile;
  const [asks, setAsks] = useState(false);
  const held = useRef<{ timer: ReturnType<typeof setTimeout> | null; asked: boolean }>({
    timer: null,
    asked: false,
  });
  const busy = useRef(false);
  const log = async (outcome: 'clean' | 'flawed' | 'miss'): Promise<void> => {
    setAsks(false);
    if (!element || rests || busy.current) return;
    busy.current = true;
    // The go is of today's bout; the first tap begins it.
    const write = async (): Promise<Result<unknown>> => {
      const begun = bout
        ? ok({ made: bout })
        : await startBout(kennel, element, { day: today, away: false, start: asked });
      return begun.ok
        ? record(kennel, begun.value.made, { kind: 'rep', ...plainRep(asked, { outcome }) })
        : begun;
    };
    await done(tell('class.logged', { name: dog.name, outcome }), write() as ReturnType<typeof record>);
    busy.current = false;
  };
  const press = (): void => {
    held.current.asked = false;
    held.current.timer = setTimeout(() => {
      held.current.asked = true;
      setAsks(true);
    }, HOLD);
  };
  const lift = (): void => {
    if (held.current.timer) clearTimeout(held.current.timer);
  };
  if (!element)
    return (
      <li className="border-2 border-ink bg-sheet p-3">
        <p className="text-xl font-bold">{dog.name}</p>
        <p>{tell('class.nothing-to-train')}</p>
      </li>
    );
  return (
    <li className="grid content-start gap-2">
      <button
        type="button"
        className={`min-h-32 select-none border-2 border-ink p-3 text-left leading-tight ${rests ? 'bg-paper' : 'bg-sheet'}`}
        aria-label={tell('class.tap', { name: dog.name, goes, clean })}
        aria-disabled={rests}
        onPointerDown={press}
        onPointerUp={lift}
        onPointerLeave={lift}
        onContextMenu={(event) => event.preventDefault()}
        onClick={() => {
          // What ends a hold is no tap.
          if (!held.current.asked) void log('clean');
          held.current.asked = false;
        }}
      >
        <span className="block text-xl font-bold">{dog.name}</span>
        <span className="block">{element.title}</span>
        <span className="mt-1 block text-3xl font-extrabold">{tell('class.count', { clean, goes })}</span>
        {rests ? (
          <span className="block font-semibold">{tell('class.rests')}</span>
        ) : (
          missed >= 2 && <span className="block font-semibold">{tell('class.easier', { missed })}</span>
        )}
      </button>
      <p className="text-sm leading-snug">{wordsOf(describePlace(buildLadder(element), asked))}</p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => setAsks(true)} aria-label={tell('class.other-of', { name: dog.name })}>
          {tell('class.other')}
        </Button>
        <Link
          className="min-h-11 content-center underline underline-offset-4"
          to={`/${kennel.name}/field/${element.id}`}
        >
          {tell('class.card')}
        </Link>
      </div>
      <Dialog open={asks} onClose={() => setAsks(false)} title={tell('class.what-else', { name: dog.name })}>
        <div className="grid gap-3">
          <Button size="big" onClick={() => void log('flawed')}>
            {tell('class.flawed')}
          </Button>
          <Button size="big" onClick={() => void log('miss')}>
            {tell('class.missed')}
          </Button>
          {bout && goes > 0 && (
            <Button
              size="big"
              onClick={() => {
                setAsks(false);
                void done(tell('class.taken-back', { name: dog.name }), recordUndo(kennel, bout));
              }}
            >
              {tell('class.take-back')}
            </Button>
          )}
          {bout && (
            <Button
              size="big"
              onClick={() => {
                setAsks(false);
                void done(tell('class.ended', { name: dog.name }), endBout(kennel, bout.id));
              }}
            >
              {tell('class.end')}
            </Button>
          )}
          {!bout && (
            <SelectField
              label={tell('class.does')}
              value={element.id as string}
              options={elements.map(({ id, title }) => ({ value: id as string, words: title }))}
              onChange={(id) => onElement(id as ElementId)}
            />
          )}
        </div>
      </Dialog>
    </li>
  );
}
