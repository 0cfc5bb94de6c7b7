import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useNavigate } from 'react-router';
import { goesOf } from '@/core/review';
import { useKennelWithDog } from '@/data/live';
import { listClips, type MarkedClip } from '@/data/read';
import { buttonClass, FileButton, Notice, PageHead, Sheet } from '@/ui';
import { wordsOf, writeInstant } from '@/words';
import { useClips } from './clip-store';
import { clockOf } from './clip-view';
import { useOpenClip } from './use-open-clip';
import { tell } from './words';

/** What can be chosen: a phone names some of its clips as no video. */
export const MEDIA = 'video/*,.mp4,.mov,.webm,.m4v';

/** The clips of a dog; a file is opened and stays where it is. */
export function ClipsRoom() {
  const { kennel, dog } = useKennelWithDog();
  const navigate = useNavigate();
  const clips = useLiveQuery(() => listClips(kennel, dog.id), [kennel, dog.id]);
  const { busy, failure, open } = useOpenClip();
  const choose = async (file: File): Promise<void> => {
    const opened = await open(file, dog.id);
    if (opened) void navigate(`/${kennel.name}/clips/${opened.id}`);
  };
  if (!clips) return <p className="text-lg">{tell('clip.opening')}</p>;
  return (
    <>
      <PageHead title={tell('clip-room.title', { name: dog.name })}>{tell('clip-room.what')}</PageHead>
      <div className="mb-4 grid gap-2">
        <p className="flex flex-wrap items-center gap-3">
          <FileButton
            look="signal"
            label={tell('clip-room.open')}
            inputLabel={tell('clip-room.file')}
            accept={MEDIA}
            onFile={choose}
          />
          <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/review`}>
            {tell('clip-room.to-the-diary')}
          </Link>
        </p>
        <div role="status">{busy && <Notice>{tell('clip-room.reading')}</Notice>}</div>
        {failure && <Notice tone="alert">{wordsOf(failure.message)}</Notice>}
      </div>
      <Sheet title={tell('clip-room.opened', { count: clips.length })}>
        {clips.length === 0 ? (
          <div className="grid gap-2 leading-snug">
            <p>{tell('clip-room.how-tripod')}</p>
            <p>{tell('clip-room.how-poles')}</p>
            <p>{tell('clip-room.how-stays')}</p>
          </div>
        ) : (
          <ul className="divide-y divide-hair">
            {clips.map((one) => (
              <ClipRow key={one.clip.id} one={one} />
            ))}
          </ul>
        )}
      </Sheet>
      {clips.length > 1 && (
        <p className="mt-4">
          <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/clips/compare`}>
            {tell('clip.side-by-side')}
          </Link>
        </p>
      )}
    </>
  );
}

function ClipRow({ one: { clip, marks } }: { readonly one: MarkedClip }) {
  const { kennel } = useKennelWithDog();
  const opened = useClips((state) => state.opened[clip.id] !== undefined);
  const goes = goesOf(marks);
  return (
    <li className="flex flex-wrap items-center justify-between gap-2 py-2">
      <span className="leading-snug">
        <span className="font-bold">{clip.name}</span>
        <span className="block text-ink-soft">
          {tell('clip-room.row', {
            at: writeInstant(clip.changed.at),
            length: clockOf(clip.print.seconds),
            goes: goes.length,
            joined: goes.filter(({ rep }) => rep !== null).length,
          })}
        </span>
      </span>
      <Link
        className={buttonClass(opened ? 'ink' : 'plain')}
        to={`/${kennel.name}/clips/${clip.id}`}
        aria-label={tell('clip-room.look-at', { name: clip.name })}
      >
        {tell('clip-room.look', { opened })}
      </Link>
    </li>
  );
}
