import { useLiveQuery } from 'dexie-react-hooks';
import { useKennel } from '@/data/live';
import { listApart, RECORD_TITLES, type Tables } from '@/data/read';
import { decide } from '@/data/write';
import { Button, Sheet } from '@/ui';
import { wordsOf, writeInstant } from '@/words';
import { tell } from './words';

type Apart = Tables['apart'][number];
type Version = Apart['versions'][number];

/** Records that were changed on two devices apart: which version stands is for the person to say. */
export function ApartSheet() {
  const { kennel } = useKennel();
  const waiting = useLiveQuery(() => listApart(kennel), [kennel]);
  if (!waiting || waiting.length === 0) return null;
  return (
    <Sheet
      title={tell('apart-sheet.changed-on-two-devices')}
      className="mt-6"
      label={tell('apart-sheet.changed-on-two-devices')}
    >
      <p className="mb-3 leading-snug">{tell('apart-sheet.both-kept-their-own-version-the')}</p>
      <ul className="grid gap-3">
        {waiting.map((apart) => (
          <ApartLine key={apart.id} apart={apart} />
        ))}
      </ul>
    </Sheet>
  );
}

function ApartLine({ apart }: { readonly apart: Apart }) {
  const { kennel, done } = useKennel();
  const name = nameOf(apart);
  return (
    <li className="border-b border-hair pb-2">
      <p className="font-semibold">{name}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {apart.versions.map((version, i) => (
          <Button
            key={JSON.stringify(version.changed)}
            onClick={() => void done(tell('apart-sheet.decided', { name }), decide(kennel, apart.id, i))}
          >
            {version.record === null
              ? tell('apart-sheet.leave-it-removed')
              : tell('apart-sheet.keep-that-of', {
                  dayOf: dayOf(version),
                  differsIn: differsIn(apart, version),
                })}
          </Button>
        ))}
      </div>
    </li>
  );
}

function nameOf({ id, versions }: Apart): string {
  const record = versions.find((one) => one.record !== null)?.record ?? {};
  const called = [record.title, record.name, record.day].find((one) => typeof one === 'string');
  const table = RECORD_TITLES[id.slice(0, id.indexOf('/')) as keyof Tables] ?? tell('apart-sheet.record');
  return called === undefined ? wordsOf(table) : `${table} “${String(called)}”`;
}

const dayOf = ({ changed }: Version): string => writeInstant(changed.at);

/** The first two things in which a version differs from another, so that they can be told apart. */
function differsIn({ versions }: Apart, { record }: Version): string {
  const other = versions.find((one) => one.record !== null && one.record !== record)?.record;
  if (!other || !record) return '';
  const keys = Object.keys(record).filter(
    (key) => key !== 'changed' && JSON.stringify(record[key]) !== JSON.stringify(other[key]),
  );
  const said = keys
    .slice(0, 2)
    .map((key) => (typeof record[key] === 'object' ? key : `${key} ${String(record[key])}`));
  return said.length === 0 ? '' : `: ${said.join(', ')}`;
}
