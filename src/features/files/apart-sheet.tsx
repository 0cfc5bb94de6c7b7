import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Amendment } from '@/core/log';
import type { Day, DeviceId, EntryId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type ApartRep, namesIn, RECORD_TITLES, type Waiting, waitingApart } from '@/data/read';
import { type Coaches, coachesOf, decide, decideAll, decideRep } from '@/data/write';
import { Button, Sheet } from '@/ui';
import { wordsOf, writeDay, writeInstant } from '@/words';
import { chosenRecord, type Difference, differencesOf, forkRows, type Names, valueWords } from './apart-view';
import { Choices } from './choices';
import { tell } from './words';

/** What was changed on two devices apart, side by side: what stands is for the person to say. */
export function ApartSheet() {
  const { kennel } = useKennel();
  const waiting = useLiveQuery(() => waitingApart(kennel), [kennel]);
  const names = useLiveQuery(() => namesIn(kennel), [kennel]);
  const coaches = useLiveQuery(() => coachesOf(kennel), [kennel]);
  if (!waiting || !names || !coaches) return null;
  const isProposed = ({ apart }: Waiting): boolean =>
    apart.versions.some(({ changed }) => coaches[changed.by] !== undefined);
  const proposed = waiting.filter(isProposed);
  const changed = waiting.filter((one) => !isProposed(one));
  return (
    <>
      {proposed.length > 0 && (
        <Waits
          title={tell('apart-sheet.proposed')}
          what={tell('apart-sheet.proposed-what', { n: proposed.length })}
          waiting={proposed}
          names={names}
          coaches={coaches}
        />
      )}
      {changed.length > 0 && (
        <Waits
          title={tell('apart-sheet.changed-on-two-devices')}
          what={tell('apart-sheet.both-kept-their-own-version-the', { n: changed.length })}
          waiting={changed}
          names={names}
          coaches={coaches}
        />
      )}
    </>
  );
}

type WaitsProps = {
  readonly title: string;
  readonly what: string;
  readonly waiting: readonly Waiting[];
  readonly names: Names;
  readonly coaches: Coaches;
};

function Waits({ title, what, waiting, names, coaches }: WaitsProps) {
  const { kennel, done } = useKennel();
  // Of a whole plan nobody decides bout by bout.
  const all = (theirs: boolean): void =>
    void done(
      theirs ? tell('apart-sheet.all-taken') : tell('apart-sheet.all-left'),
      decideAll(
        kennel,
        waiting.map(({ apart: { id, versions } }) => ({
          id,
          chosen:
            versions.find(({ changed }) => (coaches[changed.by] !== undefined) === theirs)?.record ?? null,
        })),
      ),
    );
  const proposed = waiting.every(({ apart }) =>
    apart.versions.some(({ changed }) => coaches[changed.by] !== undefined),
  );
  return (
    <Sheet title={title} className="mt-6" label={title}>
      <p className="mb-3 leading-snug">{what}</p>
      {proposed && waiting.length > 1 && (
        <p className="mb-3 flex flex-wrap gap-2">
          <Button onClick={() => all(true)}>{tell('apart-sheet.take-all')}</Button>
          <Button onClick={() => all(false)}>{tell('apart-sheet.leave-all')}</Button>
        </p>
      )}
      <ul className="grid gap-6">
        {waiting.map(({ apart, rep }) => (
          <li key={apart.id}>
            {rep ? (
              <RepApart id={apart.id.slice('entries/'.length) as EntryId} rep={rep} names={names} />
            ) : (
              <RecordApart apart={apart} names={names} coaches={coaches} />
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

type RecordProps = {
  readonly apart: Waiting['apart'];
  readonly names: Names;
  readonly coaches: Coaches;
};

function RecordApart({ apart: { id, versions }, names, coaches }: RecordProps) {
  const { kennel, done } = useKennel();
  const [choice, setChoice] = useState<Readonly<Record<string, number>>>({});
  const name = nameOf(id, versions);
  const said = tell('apart-sheet.decided', { name });
  const there = versions.filter((one) => one.record !== null);
  const proposed = versions.some(({ changed }) => coaches[changed.by] !== undefined);
  const removal = versions.some(({ changed, record }) => coaches[changed.by] && record === null);
  const rows = differencesOf(versions, names);
  if (there.length < versions.length)
    return (
      <>
        <h3 className="font-semibold">{name}</h3>
        <p className="leading-snug">
          {!proposed && tell('apart-sheet.removed-on-one')}
          {proposed && (removal ? tell('apart-sheet.removal-proposed') : newWords(there, names))}
        </p>
        <div className="mt-2 flex flex-wrap gap-2">
          {there.map((version) => (
            <Button
              key={version.changed.at}
              onClick={() => void done(said, decide(kennel, id, version.record))}
            >
              {coaches[version.changed.by]
                ? tell('apart-sheet.take-it')
                : tell('apart-sheet.keep-as-changed', { at: writeInstant(version.changed.at) })}
            </Button>
          ))}
          <Button onClick={() => void done(said, decide(kennel, id, null))}>
            {!proposed && tell('apart-sheet.leave-it-removed')}
            {proposed && (removal ? tell('apart-sheet.take-out') : tell('apart-sheet.leave-it'))}
          </Button>
        </div>
      </>
    );
  return (
    <>
      <h3 className="font-semibold">{name}</h3>
      <Choices
        heads={versions.map(({ changed }) =>
          proposed && !coaches[changed.by]
            ? tell('apart-sheet.as-it-stands', { at: writeInstant(changed.at) })
            : headOf(changed, kennel.device, coaches),
        )}
        rows={rows}
        choice={choice}
        onChoose={(key, version) => setChoice({ ...choice, [key]: version })}
      />
      <Button onClick={() => void done(said, decide(kennel, id, chosenRecord(versions, rows, choice)))}>
        {tell('apart-sheet.keep-what-is-chosen')}
      </Button>
    </>
  );
}

/** A rep that both put right: each thing that they said otherwise is chosen for itself. */
function RepApart({ id, rep, names }: { id: EntryId; rep: ApartRep; names: Names }) {
  const { kennel, done } = useKennel();
  const last = Object.fromEntries(rep.forks.map(({ path, said }) => [path.join('.'), said.length - 1]));
  const [choice, setChoice] = useState<Readonly<Record<string, number>>>({});
  const chosen = { ...last, ...choice };
  const rows = forkRows(rep.forks, names);
  const name = repName(rep, names);
  return (
    <>
      <h3 className="font-semibold">{name}</h3>
      {rows.map((row, i) => (
        <Choices
          key={row.key}
          heads={rep.forks[i]?.said.map(({ entry }) => headOf(entry, kennel.device)) ?? []}
          rows={[row]}
          choice={chosen}
          onChoose={(key, version) => setChoice({ ...choice, [key]: version })}
        />
      ))}
      <Button
        onClick={() =>
          void done(
            tell('apart-sheet.decided', { name }),
            decideRep(kennel, rep.bout, id, amendmentOf(rep, rows, chosen)),
          )
        }
      >
        {tell('apart-sheet.keep-what-is-chosen')}
      </Button>
    </>
  );
}

function amendmentOf(
  { forks }: ApartRep,
  rows: readonly Difference[],
  choice: Readonly<Record<string, number>>,
): Amendment {
  let said: Readonly<Record<string, unknown>> = {};
  for (const [i, { path, said: versions }] of forks.entries()) {
    const value = versions[choice[rows[i]?.key ?? ''] ?? 0]?.value;
    said = laid(said, path, value);
  }
  return said as Amendment;
}

function laid(
  into: Readonly<Record<string, unknown>>,
  [field, ...rest]: readonly string[],
  value: unknown,
): Readonly<Record<string, unknown>> {
  if (field === undefined) return into;
  const before = (into[field] ?? {}) as Readonly<Record<string, unknown>>;
  return { ...into, [field]: rest.length === 0 ? value : laid(before, rest, value) };
}

/** Something new that is proposed, in a line. */
const newWords = (there: Waiting['apart']['versions'], names: Names): string => {
  const { changed: _, id: __, ...record } = there[0]?.record ?? {};
  const on = record.on as { readonly element?: string } | undefined;
  // A planned bout is its day and work; its criteria stand in the plan.
  if (typeof record.day === 'string' && on?.element)
    return tell('apart-sheet.new-bout', {
      day: writeDay(record.day as Day),
      title: names.get(on.element) ?? '',
      goes: Number(record.goes),
    });
  return tell('apart-sheet.new-proposed', { what: valueWords(record, names) });
};

const headOf = (
  { by, at }: { readonly by: DeviceId; readonly at: number },
  device: DeviceId,
  coaches: Coaches = {},
): string =>
  coaches[by]
    ? tell('apart-sheet.proposed-by', {
        by: coaches[by].by || tell('coach.somebody'),
        at: writeInstant(coaches[by].at),
      })
    : by === device
      ? tell('apart-sheet.changed-here', { at: writeInstant(at) })
      : tell('apart-sheet.changed-there', { at: writeInstant(at) });

function repName({ bout, outing, go }: ApartRep, names: Names): string {
  const on = bout.on.kind === 'element' ? names.get(bout.on.element) : undefined;
  return tell('apart-sheet.a-rep', {
    go: go ?? 0,
    work: on ?? tell('apart-sheet.a-whole-exercise'),
    dog: names.get(bout.dogId) ?? '',
    day: outing ? writeDay(outing.day) : '',
  });
}

function nameOf(id: string, versions: Waiting['apart']['versions']): string {
  const record = versions.find((one) => one.record !== null)?.record ?? {};
  const called = [record.title, record.name, record.day].find((one) => typeof one === 'string');
  const table = RECORD_TITLES[id.slice(0, id.indexOf('/')) as keyof typeof RECORD_TITLES];
  const kind = table ? wordsOf(table) : tell('apart-sheet.record');
  return called === undefined ? kind : tell('apart-sheet.named', { kind, called: String(called) });
}
