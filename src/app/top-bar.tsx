import {
  Blocks,
  FolderOpen,
  Gauge,
  House,
  type LucideIcon,
  Moon,
  NotebookText,
  PawPrint,
  Sun,
  Timer,
} from 'lucide-react';
import { Link, NavLink, useLocation, useNavigate } from 'react-router';
import { asId, type DogId } from '@/core/shared';
import type { Dog, KennelName } from '@/data/read';
import { SelectField } from '@/ui';
import { tell } from '@/words/shell';
import { useChosenDog } from './chosen-dog';
import { useTheme } from './theme';

type Room = {
  readonly to: string;
  readonly title: string;
  readonly Icon: LucideIcon;
  readonly needsDog: boolean;
};

/** In the order of the work; a room that has no dog to work on is left out. */
const ROOMS: readonly Room[] = [
  { to: 'today', title: tell('top-bar.today'), Icon: PawPrint, needsDog: true },
  { to: 'rule-books', title: tell('top-bar.rule-books'), Icon: NotebookText, needsDog: false },
  { to: 'breakdown', title: tell('top-bar.breakdown'), Icon: Blocks, needsDog: true },
  { to: 'field', title: tell('top-bar.field'), Icon: Timer, needsDog: true },
  { to: 'readiness', title: tell('top-bar.readiness'), Icon: Gauge, needsDog: true },
  { to: 'kennel', title: tell('top-bar.kennel'), Icon: House, needsDog: true },
  { to: 'files', title: tell('top-bar.files'), Icon: FolderOpen, needsDog: false },
];

type Props = { readonly kennel: KennelName; readonly dogs: readonly Dog[]; readonly dog: Dog | null };

export function TopBar({ kennel, dogs, dog }: Props) {
  const rooms = ROOMS.filter((room) => dog !== null || !room.needsDog);
  return (
    <header className="border-b-2 border-ink bg-sheet">
      <div aria-hidden="true" className="pole h-2.5 border-b-2 border-ink" />
      <div className="mx-auto flex max-w-[76rem] flex-wrap items-end gap-x-4 px-4 pt-2 sm:px-6">
        <div className="flex items-baseline gap-3 pb-2">
          <Link to={`/${kennel}/today`} className="text-xl font-extrabold tracking-tight">
            {tell('top-bar.regulon')}
          </Link>
          {dog && <DogName kennel={kennel} dogs={dogs} dog={dog} />}
          {kennel === 'sample' && (
            <span className="border border-ink px-1.5 text-sm">
              {tell('top-bar.sample')}
              <span className="hidden xl:inline">{tell('top-bar.all-invented')}</span>
            </span>
          )}
        </div>
        <ThemeSwitch />
        <nav
          aria-label={tell('top-bar.rooms')}
          className="fixed inset-x-0 bottom-0 z-30 flex border-t-2 border-ink bg-sheet pb-[env(safe-area-inset-bottom)] md:static md:order-2 md:ml-auto md:border-0 md:pb-0"
        >
          {rooms.map((room) => (
            <RoomTab key={room.to} room={room} kennel={kennel} />
          ))}
        </nav>
      </div>
    </header>
  );
}

function RoomTab({ room, kennel }: { readonly room: Room; readonly kennel: KennelName }) {
  const { to, title, Icon } = room;
  return (
    <NavLink
      to={`/${kennel}/${to}`}
      className={({ isActive }) =>
        `flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 px-0.5 whitespace-nowrap text-xs leading-tight md:min-h-11 md:flex-none md:flex-row md:gap-1.5 md:border-x-2 md:border-t-2 md:px-2 md:text-base lg:px-2.5 ${
          isActive
            ? 'bg-ink font-bold text-paper md:border-ink'
            : 'text-ink hover:bg-paper md:border-transparent'
        }`
      }
    >
      <Icon aria-hidden="true" className="size-5 md:size-4" strokeWidth={2.2} />
      {title}
    </NavLink>
  );
}

function DogName({ kennel, dogs, dog }: Props & { readonly dog: Dog }) {
  const choose = useChosenDog((state) => state.choose);
  const { pathname } = useLocation();
  const navigate = useNavigate();
  if (dogs.length === 1) return <span className="text-lg">{tell('top-bar.with', { name: dog.name })}</span>;
  return (
    <SelectField
      label={tell('top-bar.dog')}
      shown={tell('top-bar.beside')}
      beside
      className="text-lg"
      look="min-h-11 bg-sheet font-semibold"
      value={dog.id as string}
      options={dogs.map((one) => ({ value: one.id as string, words: one.name }))}
      onChange={(id) => {
        choose(kennel, asId<DogId>(id));
        // A page of one element is of one dog: another dog begins at the room.
        const room = /^\/\w+\/(?:field|breakdown)(?=\/.)/.exec(pathname)?.[0];
        if (room) void navigate(room);
      }}
    />
  );
}

function ThemeSwitch() {
  const { theme, toggle } = useTheme();
  const Icon = theme === 'light' ? Moon : Sun;
  return (
    <button
      type="button"
      onClick={toggle}
      aria-label={theme === 'light' ? tell('top-bar.dark-page-for-dusk') : tell('top-bar.light-page-for-day')}
      className="mb-1 ml-auto grid size-11 place-items-center md:order-3 md:ml-0"
    >
      <Icon aria-hidden="true" className="size-5" />
    </button>
  );
}
