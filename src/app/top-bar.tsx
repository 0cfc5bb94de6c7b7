import {
  Blocks,
  BookOpenText,
  CalendarRange,
  CircleQuestionMark,
  ClipboardPen,
  DraftingCompass,
  Ellipsis,
  FolderOpen,
  Gauge,
  House,
  type LucideIcon,
  Moon,
  NotebookText,
  PawPrint,
  Search,
  Sun,
  Timer,
} from 'lucide-react';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link, NavLink, useLocation } from 'react-router';
import { asId, type DogId } from '@/core/shared';
import { type Dog, isPupil, type KennelName } from '@/data/read';
import { SelectField } from '@/ui';
import { tell } from '@/words/shell';
import { useSearch } from './search-store';
import { useLook } from './theme';

type Room = {
  readonly to: string;
  readonly title: string;
  readonly Icon: LucideIcon;
  readonly needsDog: boolean;
  /** In the bar of a telephone; the others are under "more" there. */
  readonly inHand: boolean;
  /** Other addresses that belong to it. */
  readonly also?: readonly string[];
};

/** In the order of the work; a room that has no dog to work on is left out. */
const ROOMS: readonly Room[] = [
  { to: 'today', title: tell('top-bar.today'), Icon: PawPrint, needsDog: true, inHand: true },
  { to: 'rule-books', title: tell('top-bar.rule-books'), Icon: NotebookText, needsDog: false, inHand: false },
  { to: 'breakdown', title: tell('top-bar.breakdown'), Icon: Blocks, needsDog: true, inHand: true },
  { to: 'field', title: tell('top-bar.field'), Icon: Timer, needsDog: true, inHand: true },
  {
    to: 'review',
    title: tell('top-bar.review'),
    Icon: BookOpenText,
    needsDog: true,
    inHand: false,
    also: ['clips', 'season'],
  },
  { to: 'readiness', title: tell('top-bar.readiness'), Icon: Gauge, needsDog: true, inHand: true },
  { to: 'plan', title: tell('top-bar.plan'), Icon: CalendarRange, needsDog: true, inHand: false },
  {
    to: 'set-outs',
    title: tell('top-bar.set-outs'),
    Icon: DraftingCompass,
    needsDog: true,
    inHand: false,
    also: ['tracks'],
  },
  { to: 'trials', title: tell('top-bar.trials'), Icon: ClipboardPen, needsDog: false, inHand: false },
  { to: 'kennel', title: tell('top-bar.kennel'), Icon: House, needsDog: true, inHand: false },
  {
    to: 'files',
    title: tell('top-bar.files'),
    Icon: FolderOpen,
    needsDog: false,
    inHand: false,
    also: ['settings', 'guide'],
  },
];

type Props = {
  readonly kennel: KennelName;
  readonly dogs: readonly Dog[];
  readonly dog: Dog | null;
  readonly onChoose: (dog: DogId) => void;
};

export function TopBar({ kennel, dogs, dog, onChoose }: Props) {
  const rooms = ROOMS.filter((room) => dog !== null || !room.needsDog);
  return (
    <header className="border-b-2 border-ink bg-sheet">
      <div aria-hidden="true" className="pole h-2.5 border-b-2 border-ink" />
      <div className="mx-auto flex max-w-[76rem] items-end gap-x-2 px-4 pt-2 sm:gap-x-4 sm:px-6 md:max-lg:flex-wrap">
        <div className="flex min-w-0 items-center gap-2 pb-2 sm:gap-3">
          <Link
            to={`/${kennel}/today`}
            className={`text-xl font-extrabold tracking-tight ${kennel === 'own' ? '' : 'max-sm:sr-only'}`}
          >
            {tell('top-bar.regulon')}
          </Link>
          {dog && <DogName dogs={dogs} dog={dog} onChoose={onChoose} />}
          {isPupil(kennel) && (
            <Link to="/own/files/coach" className="border border-ink px-1.5 text-sm">
              {tell('top-bar.pupil')}
            </Link>
          )}
          {kennel === 'sample' && (
            <span className="border border-ink px-1.5 text-sm">
              {tell('top-bar.sample')}
              <span className="hidden 2xl:inline">{tell('top-bar.all-invented')}</span>
            </span>
          )}
        </div>
        <div className="mb-1 ml-auto flex shrink-0 md:order-3 md:ml-0">
          <SearchButton />
          <HelpButton />
          <ThemeSwitch />
        </div>
        <nav
          aria-label={tell('top-bar.rooms')}
          className="fixed inset-x-0 bottom-0 z-30 flex border-t-2 has-[[aria-expanded=true]]:z-50 border-ink bg-sheet pb-[env(safe-area-inset-bottom)] md:static md:order-2 md:ml-auto md:border-0 md:pb-0"
        >
          {rooms.map((room) => (
            <RoomTab key={room.to} room={room} kennel={kennel} folds={dog !== null && !room.inHand} />
          ))}
          {dog && <More rooms={rooms.filter((room) => !room.inHand)} kennel={kennel} />}
        </nav>
      </div>
    </header>
  );
}

type TabProps = {
  readonly room: Room;
  readonly kennel: KennelName;
  /** On a telephone it is under "more". */
  readonly folds: boolean;
};

function RoomTab({ room, kennel, folds }: TabProps) {
  const { to, title, Icon } = room;
  const { pathname } = useLocation();
  const under = isUnder(room, kennel, pathname);
  return (
    <NavLink
      to={`/${kennel}/${to}`}
      className={({ isActive }) =>
        `${folds ? 'hidden md:flex' : 'flex'} min-h-14 flex-1 flex-col items-center justify-center gap-0.5 px-0.5 whitespace-nowrap text-xs leading-tight md:min-h-11 md:flex-none md:flex-row md:gap-1.5 md:border-x-2 md:border-t-2 md:px-1.5 md:text-base lg:px-[0.3rem] xl:px-1.5 2xl:px-2 ${
          isActive || under
            ? 'bg-ink font-bold text-paper md:border-ink'
            : 'text-ink hover:bg-paper md:border-transparent'
        }`
      }
    >
      <Icon aria-hidden="true" className="size-5 md:size-4 md:max-2xl:hidden" strokeWidth={2.2} />
      {title}
    </NavLink>
  );
}

/** Whether a page belongs to a room that its address does not begin with. */
const isUnder = ({ also = [] }: Room, kennel: KennelName, pathname: string): boolean =>
  also.some((one) => pathname.split('/')[2] === one && pathname.startsWith(`/${kennel}/`));

/** The rooms that do not fit a telephone's bar, over it; closes by Escape, a tap beside it, and by going. */
function More({ rooms, kennel }: { readonly rooms: readonly Room[]; readonly kennel: KennelName }) {
  const [open, setOpen] = useState(false);
  const { pathname } = useLocation();
  const at = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: whoever goes elsewhere has chosen
  useEffect(() => setOpen(false), [pathname]);
  useEffect(() => {
    if (!open) return;
    const close = (event: Event): void => {
      const away =
        event instanceof KeyboardEvent ? event.key === 'Escape' : !at.current?.contains(event.target as Node);
      if (away) setOpen(false);
    };
    document.addEventListener('keydown', close);
    document.addEventListener('pointerdown', close);
    return () => {
      document.removeEventListener('keydown', close);
      document.removeEventListener('pointerdown', close);
    };
  }, [open]);
  const here = rooms.some(
    (room) => pathname.startsWith(`/${kennel}/${room.to}`) || isUnder(room, kennel, pathname),
  );
  return (
    <div ref={at} className="flex flex-1 md:hidden">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className={`flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 px-0.5 text-xs leading-tight ${here ? 'bg-ink font-bold text-paper' : 'text-ink'}`}
      >
        <Ellipsis aria-hidden="true" className="size-5" strokeWidth={2.2} />
        {tell('top-bar.more')}
      </button>
      {open && (
        <ul className="absolute right-0 bottom-full grid min-w-48 border-2 border-ink bg-sheet">
          {rooms.map(({ to, title, Icon }) => (
            <li key={to}>
              <NavLink
                to={`/${kennel}/${to}`}
                className={({ isActive }) =>
                  `flex min-h-14 items-center gap-3 px-4 text-lg ${isActive ? 'bg-ink font-bold text-paper' : ''}`
                }
              >
                <Icon aria-hidden="true" className="size-5" />
                {title}
              </NavLink>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function DogName({ dogs, dog, onChoose }: Pick<Props, 'dogs' | 'onChoose'> & { readonly dog: Dog }) {
  if (dogs.length === 1) return <span className="text-lg">{tell('top-bar.with', { name: dog.name })}</span>;
  return (
    <SelectField
      label={tell('top-bar.dog')}
      shown={<span className="max-2xl:sr-only">{tell('top-bar.beside')}</span>}
      beside
      className="min-w-0 text-lg max-sm:gap-0"
      look="min-h-11 min-w-0 max-w-36 truncate bg-sheet font-semibold"
      value={dog.id as string}
      options={dogs.map((one) => ({ value: one.id as string, words: one.name }))}
      onChange={(id) => onChoose(asId<DogId>(id))}
    />
  );
}

function SearchButton() {
  const open = useSearch((state) => state.open);
  return (
    <button
      type="button"
      onClick={open}
      aria-label={tell('top-bar.search')}
      aria-keyshortcuts="/"
      className="grid size-11 place-items-center"
    >
      <Search aria-hidden="true" className="size-5" />
    </button>
  );
}

const HelpDialog = lazy(async () => ({ default: (await import('./guide/help-dialog')).HelpDialog }));

/** What the guide says of the page that is open. */
function HelpButton() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        aria-label={tell('top-bar.help')}
        className="grid size-11 place-items-center"
      >
        <CircleQuestionMark aria-hidden="true" className="size-5" />
      </button>
      <Suspense>{open && <HelpDialog onClose={() => setOpen(false)} />}</Suspense>
    </>
  );
}

function ThemeSwitch() {
  const { shown, choose } = useLook();
  const day = shown === 'light';
  const Icon = day ? Moon : Sun;
  return (
    <button
      type="button"
      onClick={() => choose({ theme: day ? 'dusk' : 'light' })}
      aria-label={day ? tell('top-bar.dark-page-for-dusk') : tell('top-bar.light-page-for-day')}
      className="grid size-11 place-items-center"
    >
      <Icon aria-hidden="true" className="size-5" />
    </button>
  );
}
