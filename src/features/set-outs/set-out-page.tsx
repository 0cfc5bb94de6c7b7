import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import {
  askedOfDrawing,
  besideAtTheEnd,
  carried,
  dogOf,
  listThings,
  metresOf,
  pathsOf,
  snapped,
  type Thing,
} from '@/core/breakdown';
import type { Point } from '@/core/geometry';
import { asId, type SetOutId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type LaidOut, type LaidOutView, laidOutView, type SetOut } from '@/data/read';
import { changeSetOut, putSetOutAway, type SetOutSaid } from '@/data/write';
import { Button, buttonClass, PageHead, SetOutDrawing, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { AddThing } from './add-thing';
import { ChecksList } from './checks-list';
import { UnitField } from './pace-sheet';
import { writtenLength } from './reads';
import { StepSheet } from './step-sheet';
import { Surroundings } from './surroundings';
import { ThingSheet } from './thing-sheet';
import { useLaidOut } from './use-laid-out';
import { useWide } from './use-wide';
import { tell } from './words';

/** A set-out drawn to scale: what lies where, which step that is, and what is to be said against it. */
export function SetOutPage() {
  const { setOut: id = '' } = useParams();
  const found = useLaidOut(asId<SetOutId>(id));
  if (!found) return <p className="text-lg">{tell('room.opening')}</p>;
  if (found === 'none') return <PageHead title={tell('set-out.none')}>{tell('set-out.none-why')}</PageHead>;
  return <Drawn {...found} />;
}

type Change = (words: string, change: (stored: SetOut) => Partial<SetOutSaid>) => Promise<void>;

function Drawn({
  laid,
  lengths,
}: {
  readonly laid: LaidOut;
  readonly lengths: Parameters<typeof laidOutView>[1];
}) {
  const { kennel, choose, done } = useKennelWithDog();
  const navigate = useNavigate();
  const { setOut, element } = laid;
  const [chosen, setChosen] = useState<string | null>(null);
  const [whole, setWhole] = useState(false);
  const [held, setHeld] = useState<readonly Thing[] | null>(null);
  const wide = useWide();
  const still = laidOutView(laid, lengths, { whole });
  const view = held ? laidOutView(laid, lengths, { whole, things: held }) : still;
  const writing = useRef<Promise<unknown>>(Promise.resolve());
  // What was worked on goes on under another id, and a key held down is faster than the address.
  const current = useRef(setOut.id);
  useEffect(() => {
    current.current = setOut.id;
  }, [setOut.id]);
  const change: Change = (words, by) => {
    // One after the other: a key held down writes faster than the disk.
    const next = writing.current.then(async () => {
      const made = await done(words, changeSetOut(kennel, current.current, by));
      if (!made.ok || made.value.made.id === current.current) return;
      current.current = made.value.made.id;
      await navigate(`/${kennel.name}/set-outs/${made.value.made.id}`, { replace: true });
    });
    writing.current = next;
    return next;
  };
  const things = (words: string, by: (stored: readonly Thing[]) => readonly Thing[]): Promise<void> =>
    change(words, (stored) => ({ things: [...by(stored.things)] }));
  const nameOf = (key: string): string =>
    wordsOf(view.picture.things.find((one) => one.key === key)?.name ?? '');
  const move = (key: string, to: Point, isDone: boolean, byKey: boolean): void => {
    const asked = setOut.asks ? askedOfDrawing(setOut.asks.reads, setOut.asks.criteria) : {};
    const place = byKey ? to : snapped(setOut.things, key, to, asked);
    const was = setOut.things.find((one) => one.key === key);
    setHeld(isDone ? null : carried(setOut.things, key, place));
    if (isDone && was && Math.hypot(was.x - place.x, was.y - place.y) > 0.005)
      void things(tell('set-out.moved', { name: nameOf(key) }), (stored) => carried(stored, key, place));
  };
  const remove = (key: string): void => {
    setChosen(null);
    void things(tell('set-out.taken-off', { name: nameOf(key) }), (stored) =>
      stored.filter((one) => one.key !== key),
    );
  };
  const list = listThings(view.things, view.north, lengths);
  const thing = view.things.find((one) => one.key === chosen) ?? null;
  const inHand = thing ? (
    <ThingSheet
      key={thing.key}
      thing={thing}
      view={view}
      lengths={lengths}
      onChange={(by) =>
        void things(tell('set-out.changed', { name: nameOf(thing.key) }), (stored) => {
          const own = stored.find((one) => one.key === thing.key);
          if (!own) return stored;
          const next = by(own, dogOf(stored));
          return carried(stored, own.key, { x: next.x ?? own.x, y: next.y ?? own.y }).map((one) =>
            one.key === own.key ? { ...one, ...next } : one,
          );
        })
      }
      onRemove={() => remove(thing.key)}
    />
  ) : (
    <p className="border-l-[6px] border-rule bg-paper px-3 py-2 leading-snug">{tell('set-out.take-one')}</p>
  );
  return (
    <>
      <PageHead title={setOut.title}>{summaryOf(laid, view)}</PageHead>
      {/* While a thing is held nothing above the drawing comes or goes: it would slip from under the hand. */}
      <ChecksList view={still} only="refused" />
      <p className="mb-4 flex flex-wrap gap-3">
        {element && !still.refused && (
          <Link
            className={buttonClass('signal', 'big')}
            to={`/${kennel.name}/field/${element.id}`}
            onClick={() => choose(element.dogId)}
          >
            {tell('set-out.to-the-field')}
          </Link>
        )}
        <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/set-outs/${setOut.id}/lay`}>
          {tell('set-out.for-the-helper')}
        </Link>
        <Button
          look="quiet"
          size="big"
          onClick={() => {
            void done(
              tell('room.is-put-away', { title: setOut.title }),
              putSetOutAway(kennel, setOut.id, true),
            );
            void navigate(`/${kennel.name}/set-outs`);
          }}
        >
          {tell('set-out.put-away')}
        </Button>
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-[1fr_23rem]">
        <div className="grid min-w-0 gap-4">
          <SetOutDrawing
            picture={held ? { ...view.picture, box: still.picture.box } : view.picture}
            highest={wide ? 560 : 420}
            title={tell('set-out.drawing', { title: setOut.title })}
            hold={{
              chosen,
              onChoose: setChosen,
              onMove: (key, to, isDone, byKey) => move(key, to, isDone, byKey),
              onRemove: remove,
              nudge: metresOf(lengths),
              label: (key) => {
                const one = list.find((each) => each.key === key);
                return tell('set-out.thing-label', { name: one?.name, where: one?.where });
              },
            }}
          />
          <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
            <UnitField beside />
            {view.plan && (
              <Button aria-pressed={whole} onClick={() => setWhole(!whole)}>
                {tell('set-out.whole-ground')}
              </Button>
            )}
            <AddThing
              things={view.things}
              lengths={lengths}
              onAdd={(one) => {
                setChosen(one.key);
                void things(
                  tell('set-out.put-down', { name: tell('set-out.kind', { kind: one.kind }) }),
                  (stored) => [...stored, one],
                );
              }}
            />
          </div>
          {!wide && inHand}
          <Sheet title={tell('set-out.what-lies-where')}>
            <ol className="divide-y divide-hair">
              {list.map((one) => (
                <li key={one.key}>
                  <button
                    type="button"
                    aria-pressed={chosen === one.key}
                    className="flex min-h-11 w-full flex-wrap items-baseline gap-x-3 py-1.5 text-left aria-pressed:font-bold"
                    onClick={() => setChosen(one.key)}
                  >
                    <span className="inline-block font-semibold first-letter:uppercase">
                      {wordsOf(one.name)}
                    </span>
                    <span>{wordsOf(one.where)}</span>
                  </button>
                </li>
              ))}
            </ol>
            <Lengthwise view={view} lengths={lengths} />
          </Sheet>
        </div>
        <div className="grid gap-4">
          {wide && inHand}
          <StepSheet laid={laid} view={view} onChange={change} />
          <ChecksList view={view} only={held ? 'all' : 'rest'} />
          <Surroundings laid={laid} view={view} lengths={lengths} onChange={change} />
        </div>
      </div>
    </>
  );
}

function summaryOf({ element, ground }: LaidOut, { step }: LaidOutView): string {
  const parts = [
    element?.title ?? '',
    step ? tell('room.step', { step: step.words }) : '',
    ground?.name ?? '',
  ];
  return parts.filter((one) => one !== '').join(' · ');
}

/** How far the dog runs, how far its handler walks, and what 5° off mean there. */
function Lengthwise({
  view,
  lengths,
}: {
  readonly view: LaidOutView;
  readonly lengths: Parameters<typeof laidOutView>[1];
}) {
  const { dog, handler } = pathsOf(view.things);
  const beside = besideAtTheEnd(view.things, lengths);
  if (dog === 0) return null;
  return (
    <p className="mt-2 leading-snug text-ink-soft">
      {tell('set-out.runs', { dog: writtenLength(lengths, dog) })}{' '}
      {handler > 0 && `${tell('set-out.walks', { handler: writtenLength(lengths, handler) })} `}
      {beside && wordsOf(beside)}
    </p>
  );
}
