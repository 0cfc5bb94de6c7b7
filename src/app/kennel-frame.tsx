import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Outlet, useLocation, useNavigate, useParams } from 'react-router';
import type { Day, DogId, Result } from '@/core/shared';
import type { KennelContext } from '@/data/live';
import {
  addressOf,
  type Dog,
  dogOf,
  isPupil,
  type Kennel,
  type KennelName,
  listDogs,
  openBouts,
} from '@/data/read';
import { UndoLine } from '@/ui';
import { tell } from '@/words/shell';
import { useChosenDog } from './chosen-dog';
import { now, todayOf } from './clock';
import { useKeptFocus } from './keep-focus';
import { rememberKennel } from './last-kennel';
import { NewerLine } from './newer-line';
import { kennelNamed, renewedSample, useShut } from './open-kennels';
import { useSearch } from './search-store';
import { TopBar } from './top-bar';
import { LostPage } from './trouble';
import { useDone } from './use-done';

const Shut = lazy(async () => ({ default: (await import('./shut')).Shut }));
// What is said of backups, and making one, may come a moment after the room.
const BackupLine = lazy(async () => ({ default: (await import('./backups')).BackupLine }));
const TourLine = lazy(async () => ({ default: (await import('./tour/tour-line')).TourLine }));

/** Opens the kennel that the address names and gives every room what it works on. */
export function KennelFrame() {
  const { kennel: name } = useParams();
  if (name !== 'own' && name !== 'sample' && !isPupil(name ?? ''))
    return (
      <main>
        <LostPage />
      </main>
    );
  return <OpenKennel key={name} name={name as KennelName} />;
}

function OpenKennel({ name }: { readonly name: KennelName }) {
  const [opened, setOpened] = useState<Result<Kennel> | null>(null);
  const shut = useShut((state) => state.shut);
  useEffect(() => {
    rememberKennel(name);
    let current = true;
    void kennelNamed(name).then((result) => current && setOpened(result));
    return () => {
      current = false;
    };
  }, [name]);
  if (!opened) return <p className="p-6 text-lg">{tell('kennel-frame.opening-the-kennel')}</p>;
  if (shut)
    return (
      <Suspense>
        <Shut why={shut} />
      </Suspense>
    );
  if (opened.ok) return <Frame kennel={opened.value} />;
  return (
    <Suspense fallback={null}>
      <Refused failure={opened} />
    </Suspense>
  );
}

function Frame({ kennel }: { readonly kennel: Kennel }) {
  const dogs = useLiveQuery(() => listDogs(kennel), [kennel]);
  const chosen = useChosenDog((state) => state.chosen[kennel.name]);
  const today = useToday();
  const addressed = useAddressedDog(kennel);
  const find = (id: DogId | null | undefined): Dog | undefined => dogs?.find((one) => one.id === id);
  const dog: Dog | null = find(addressed.dog) ?? find(chosen) ?? dogs?.[0] ?? null;
  const choose = useChosenDog((state) => state.choose);
  useEffect(() => {
    if (addressed.dog) choose(kennel.name, addressed.dog);
  }, [addressed.dog, choose, kennel.name]);
  const done = useDone(kennel);
  const chooseDog = useDogChoice(kennel, today);
  const searching = useSearchKey();
  useKeptFocus();
  const context = useMemo<KennelContext>(
    () => ({
      kennel,
      dog,
      choose: (id) => choose(kennel.name, id),
      now,
      today,
      renew: kennel.name === 'sample' ? () => renewedSample(kennel) : null,
      done,
    }),
    [kennel, dog, choose, today, done],
  );
  return (
    <>
      <a
        href="#room"
        className="sr-only focus:not-sr-only focus:absolute focus:left-2 focus:top-2 focus:z-50 focus:bg-sheet focus:p-3"
      >
        {tell('kennel-frame.skip-to-the-page')}
      </a>
      <NewerLine kennel={kennel} today={today} />
      <TopBar kennel={kennel.name} dogs={dogs ?? []} dog={dog} onChoose={chooseDog} />
      <Suspense>
        <BackupLine kennel={kennel} today={today} />
        {kennel.name === 'sample' && <TourLine kennel={kennel} />}
      </Suspense>
      <main
        id="room"
        tabIndex={-1}
        className="mx-auto w-full max-w-[76rem] px-4 pb-28 pt-5 outline-none sm:px-6 md:pb-12"
      >
        {dogs === undefined || addressed.reading ? (
          <p className="text-lg">{tell('kennel-frame.reading-the-log')}</p>
        ) : (
          <Outlet context={context} />
        )}
      </main>
      <UndoLine />
      {searching && (
        <Suspense>
          <SearchDialog context={context} />
        </Suspense>
      )}
    </>
  );
}

/**
 * The dog whose element the address names: it decides, so that a reload or a link comes back to the same
 * dog, whichever was in hand.
 */
function useAddressedDog(kennel: Kennel): { readonly dog: DogId | null; readonly reading: boolean } {
  const { pathname } = useLocation();
  const element = /^\/\w+\/(?:field|breakdown)\/([^/]+)/.exec(pathname)?.[1] ?? null;
  const found = useLiveQuery(
    async () => ({
      element,
      dog: element ? await dogOf(kennel, decodeURIComponent(element)) : null,
    }),
    [kennel, element],
  );
  return { dog: found?.element === element ? found.dog : null, reading: found?.element !== element };
}

/** Today's day, noticed again when the page is looked at after midnight. */
function useToday() {
  const [today, setToday] = useState(() => todayOf(now()));
  useEffect(() => {
    const look = (): void => setToday(todayOf(now()));
    document.addEventListener('visibilitychange', look);
    const timer = setInterval(look, 60_000);
    return () => {
      document.removeEventListener('visibilitychange', look);
      clearInterval(timer);
    };
  }, []);
  return today;
}

/**
 * Takes another dog in hand. On a page of one element, which is of one dog, it goes on where that dog is: at
 * its open pad, or in the room. What was open stays open.
 */
function useDogChoice(kennel: Kennel, today: Day): (dog: DogId) => void {
  const choose = useChosenDog((state) => state.choose);
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return async (dog) => {
    choose(kennel.name, dog);
    const room = /^\/\w+\/(field|breakdown)(?=\/.)/.exec(pathname);
    if (!room) return;
    const open = room[1] === 'field' ? await openBouts(kennel, today) : [];
    const its = open.find((one) => one.dog.id === dog);
    await navigate(its ? `/${kennel.name}/field/${addressOf(its.bout)}` : room[0]);
  };
}

/** Seldom seen, and all that can be wrong with a kennel is many words. */
const Refused = lazy(async () => ({ default: (await import('./refused')).Refused }));

const SearchDialog = lazy(async () => ({ default: (await import('./search-dialog')).SearchDialog }));

/** The search, by its key anywhere but where somebody types. */
function useSearchKey(): boolean {
  const { isOpen, open } = useSearch();
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (document.activeElement?.matches('input, textarea, select, [contenteditable]')) return;
      const { isOpen: asked, question, ask, want } = useSearch.getState();
      // The search is on its way: what is typed meanwhile is not lost, and is no key of the pad.
      const typed = event.key.length === 1 || event.key === 'Enter';
      if (asked && typed && !document.querySelector('[role=dialog]')) {
        event.preventDefault();
        event.stopImmediatePropagation();
        if (event.key === 'Enter') want(question !== '');
        else ask(question + event.key);
        return;
      }
      if (event.key !== '/') return;
      if (document.querySelector('[role=dialog]')) return;
      event.preventDefault();
      open();
    };
    window.addEventListener('keydown', listen, true);
    return () => window.removeEventListener('keydown', listen, true);
  }, [open]);
  return isOpen;
}
