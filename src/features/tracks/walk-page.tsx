import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { freeKey, type Thing } from '@/core/breakdown';
import { toPlane } from '@/core/geometry';
import { useKennelWithDog } from '@/data/live';
import { addSetOut, addTracks } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, Sheet, TextField, useWakeLock } from '@/ui';
import { writeDigits, writeInstant, writeNumber } from '@/words';
import { usePosition } from './use-position';
import { useWalk } from './walk-store';
import { tell } from './words';

/** The phone as the collar's stand-in: a line is walked, places are marked where somebody stands. */
export function WalkPage() {
  const { kennel, dog, done } = useKennelWithDog();
  const navigate = useNavigate();
  const [walking, setWalking] = useState(false);
  const { fixes, marks, walked, mark, clear } = useWalk();
  const [name, setName] = useState('');
  const { state, last } = usePosition(walking, walked);
  useWakeLock();
  const markHere = (): void => {
    if (!last) return;
    mark({ ...last, name: name.trim() || tell('tracks.walk.mark', { n: marks.length + 1 }) });
    setName('');
  };
  const save = async (): Promise<void> => {
    const first = fixes[0];
    if (!first) return;
    setWalking(false);
    const made = await done(
      tell('tracks.walk.saved'),
      addTracks(kennel, [
        {
          dogId: null,
          name: tell('tracks.walk.name', { at: writeInstant(first.at) }),
          source: 'phone',
          startedAt: first.at,
          boutId: null,
          setOut: null,
          t: fixes.map(({ at }) => (at - first.at) / 1000),
          lat: fixes.map(({ lat }) => lat),
          lon: fixes.map(({ lon }) => lon),
          marks: marks.map((one) => ({ t: (one.at - first.at) / 1000, name: one.name })),
        },
      ]),
    );
    if (!made.ok) return;
    clear();
    void navigate(`/${kennel.name}/tracks/${made.value.made[0]?.id}`);
  };
  /** A set-out of the marked places: the dog stands where the walk began. */
  const draw = async (): Promise<void> => {
    const first = fixes[0];
    if (!first) return;
    const dogThing: Thing = {
      key: 'dog-1',
      kind: 'dog',
      x: 0,
      y: 0,
      turn: 0,
      order: null,
      label: '',
      wide: null,
      long: null,
    };
    const things: Thing[] = [dogThing];
    for (const [i, one] of marks.entries()) {
      const place = toPlane(first, 0, one);
      const key = freeKey('blind', things);
      things.push({ ...dogThing, ...place, key, kind: 'blind', order: i + 1, label: one.name });
    }
    const made = await done(
      tell('tracks.walk.drawn', {
        error: writeNumber(Math.round(Math.max(...[first, ...marks].map(({ error }) => error)))),
      }),
      addSetOut(kennel, {
        title: tell('tracks.walk.set-out', { name: dog.name, at: writeInstant(first.at) }),
        ground: null,
        asks: null,
        north: 0,
        wind: null,
        things,
        spread: null,
      }),
    );
    if (made.ok) void navigate(`/${kennel.name}/set-outs/${made.value.made.id}`);
  };
  return (
    <>
      <PageHead title={tell('tracks.walk.title')}>{tell('tracks.walk.what')}</PageHead>
      <div className="grid gap-4">
        <Sheet title={tell('tracks.walk.now')}>
          <div role="status" className="grid gap-1 text-lg leading-snug">
            <p>{tell('tracks.walk.state', { state })}</p>
            {last && (
              <p>
                {tell('tracks.walk.fixes', {
                  count: fixes.length,
                  error: writeNumber(Math.round(last.error)),
                })}
              </p>
            )}
            {last && last.error > 10 && (
              <Notice tone="alert">{tell('tracks.walk.poor', { error: writeDigits(last.error, 0) })}</Notice>
            )}
          </div>
          <p className="mt-3 flex flex-wrap gap-2">
            <Button look={walking ? 'plain' : 'signal'} size="huge" onClick={() => setWalking(!walking)}>
              {tell('tracks.walk.begin', { walking, again: fixes.length > 0 })}
            </Button>
          </p>
          {last && (
            <div className="mt-3 grid gap-2">
              <TextField
                label={tell('tracks.walk.what-lies-here')}
                value={name}
                maxLength={60}
                onChange={(event) => setName(event.target.value)}
              />
              <Button size="huge" onClick={markHere}>
                {tell('tracks.walk.mark-here')}
              </Button>
            </div>
          )}
          <ol className="mt-2">
            {marks.map((one) => (
              <li key={one.at}>
                {tell('tracks.walk.marked', { name: one.name, error: writeNumber(Math.round(one.error)) })}
              </li>
            ))}
          </ol>
        </Sheet>
        {fixes.length > 1 && (
          <p className="flex flex-wrap gap-2">
            <Button look="ink" size="big" onClick={() => void save()}>
              {tell('tracks.walk.save')}
            </Button>
            {marks.length > 0 && (
              <Button size="big" onClick={() => void draw()}>
                {tell('tracks.walk.draw')}
              </Button>
            )}
            <Button look="quiet" size="big" onClick={clear}>
              {tell('tracks.walk.anew')}
            </Button>
          </p>
        )}
        <p>
          <Link className={buttonClass('plain')} to={`/${kennel.name}/tracks`}>
            {tell('tracks.track.to-the-tracks')}
          </Link>
        </p>
      </div>
    </>
  );
}
