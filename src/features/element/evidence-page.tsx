import { useMemo } from 'react';
import {
  buildLadder,
  type Criteria,
  describeRung,
  type Ladder,
  sameCriteria,
  writeValue,
} from '@/core/breakdown';
import type { CoverRow } from '@/core/evidence';
import { rodsOf } from '@/core/evidence';
import { useKennel, useKeptLogs } from '@/data/live';
import { faultLabel, type KeptEvidence, type KeptLog, namedFaults, studyQuestion } from '@/data/read';
import { keptMarks, Notice, newestOf, RepMarkKey, RepMarks, Rod, Sheet, useLatest } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { ask } from '@/workers/client';
import { type Opened, useOpened } from './element-room';
import { elementSentence } from './element-sentence';
import { EvidencePlots } from './evidence-plots';
import { findings } from './evidence-words';
import { tell } from './words';

/**
 * One element as its reps show it: where it stands, its history, and everything that was logged
 * beside clean or not.
 */
export function EvidencePage() {
  return <Page {...useOpened()} />;
}

function Page({ element, state, stands }: Opened) {
  const { today } = useKennel();
  const bouts = state.evidence.get(element.id) ?? [];
  const job = useMemo(() => {
    const question = studyQuestion(element, state.work, state.evidence, state.stands);
    return (signal: AbortSignal) => ask({ kind: 'study-element', question, today }, { signal });
  }, [element, state, today]);
  const latest = useLatest(job);
  const studied = newestOf(latest);
  if (latest.state === 'failed') return <Notice tone="alert">{wordsOf(latest.failure.message)}</Notice>;
  if (!studied) return <p className="text-lg">{tell('evidence-page.weighing-the-reps')}</p>;
  return (
    <div className="grid grid-cols-1 gap-6">
      <p
        role="status"
        aria-label={tell('evidence-page.in-one-sentence')}
        className="border-l-[6px] border-signal bg-sheet px-4 py-3 text-xl font-bold leading-snug"
      >
        {elementSentence(element, studied, stands, today)}
      </p>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <div className="grid gap-6">
          <Sheet
            title={tell('evidence-page.where-it-stands')}
            aside={tell('evidence-page.counted-reps-shown-only', {
              counted: studied.grounds.counted,
              notCounted: studied.grounds.notCounted,
            })}
          >
            <div className="grid gap-6">
              {rodsOf(element, stands, studied).map((rod) => (
                <Rod key={rod.axis} data={rod} />
              ))}
            </div>
            <p className="mt-4 text-sm leading-snug text-ink-soft">
              {tell('evidence-page.the-band-is-an-80-interval-of-how')}
            </p>
          </Sheet>
          <Coverage rows={studied.cover} />
        </div>
        <Sheet title={tell('evidence-page.what-the-reps-say')}>
          <dl className="grid gap-2 leading-snug">
            {findings(studied, today, element).map(({ title, words }) => (
              <div key={title}>
                <dt className="font-bold">{title}</dt>
                <dd>{words}</dd>
              </div>
            ))}
          </dl>
        </Sheet>
      </div>
      <EvidencePlots bouts={bouts} studied={studied} />
      <History element={element} state={state} bouts={bouts} />
    </div>
  );
}

const SESSIONS = 12;

type HistoryProps = Pick<Opened, 'element' | 'state'> & { readonly bouts: readonly KeptEvidence[] };

/** The last sessions as tally sticks, with the rung of each and where it changed. */
function History({ element, state, bouts }: HistoryProps) {
  const ladder = buildLadder(element);
  const faults = namedFaults(element, state.work);
  const sessions = bouts
    .filter((bout) => bout.reps > 0)
    .slice(-SESSIONS)
    .reverse();
  const logs = useKeptLogs(sessions.map((bout) => bout.id));
  return (
    <Sheet title={tell('evidence-page.history')} aside={<RepMarkKey />}>
      {sessions.length === 0 && <p>{tell('evidence-page.no-session-yet')}</p>}
      <ul>
        {sessions.map((bout) => (
          <li
            key={bout.id}
            className="grid gap-x-4 gap-y-1 border-b border-hair py-2 sm:grid-cols-[7rem_16rem_1fr] sm:items-center"
          >
            <span className="font-semibold">
              {writeDay(bout.day)}
              {bout.away && (
                <span className="block text-sm font-normal text-ink-soft">{tell('evidence-page.away')}</span>
              )}
            </span>
            <span className="text-sm leading-snug">{rungsInWords(ladder, logs?.get(bout.id))}</span>
            <RepMarks
              marks={keptMarks(logs?.get(bout.id)?.marks ?? [], (fault) =>
                wordsOf(faultLabel(faults, fault)),
              )}
              label={tell('evidence-page.reps-of', { writeDay: writeDay(bout.day) })}
            />
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/**
 * Which rungs a session went through. What was done off today's ladder is said so, since a ladder
 * may have been rebuilt.
 */
function rungsInWords(ladder: Ladder, log: KeptLog | undefined): string {
  if (!log) return '';
  const { asked, marks } = log;
  const rungOf = asked.map((criteria) =>
    ladder.rungs.findIndex((rung) => sameCriteria(ladder.axes, rung.criteria, criteria)),
  );
  const [first, ...more] = marks.map(({ on }) => on).filter((on, i, all) => on !== all[i - 1]);
  const rung = first === undefined ? -1 : (rungOf[first] ?? -1);
  if (more.length === 0 && rung >= 0)
    return tell('evidence-page.rung', { describeRung: describeRung(ladder, rung) });
  const words = [first ?? -1, ...more].map((on) => {
    const place = rungOf[on] ?? -1;
    return place < 0 ? offLadder(ladder, asked[on] ?? {}) : String(place + 1);
  });
  return tell('evidence-page.rungs', { first: words.filter((one, i) => one !== words[i - 1]).join(' → ') });
}

/** What was asked that no rung asks: a distance as it was measured, say. */
function offLadder(ladder: Ladder, criteria: Criteria): string {
  const other = ladder.axes.filter((axis) => {
    const value = criteria[axis.key];
    return value !== undefined && !ladder.rungs.some((one) => one.criteria[axis.key] === value);
  });
  if (other.length === 0) return tell('evidence-page.off-this-ladder');
  const values = other.map((axis) => wordsOf(writeValue(axis, criteria[axis.key] as number)));
  return tell('evidence-page.off-this-ladder-at', { values: values.join(', ') });
}

/** Chips that every element can have, as a person reads them. */
const CHIP_TITLES: Readonly<Record<string, string>> = {
  word: tell('evidence-page.word'),
  handler: tell('evidence-page.who-handles-it'),
  worn: tell('evidence-page.what-it-wears'),
  side: tell('evidence-page.side'),
};

function Coverage({ rows }: { readonly rows: readonly CoverRow[] }) {
  return (
    <Sheet
      title={tell('evidence-page.where-it-has-been-trained')}
      aside={tell('evidence-page.clean-of-those-that-count')}
    >
      <table className="w-full text-left leading-snug">
        <tbody>
          {rows.map((row) => (
            <tr key={wordsOf(row.condition)} className="border-b border-hair align-top">
              <th scope="row" className="py-1.5 pr-4">
                {(typeof row.condition === 'string' && CHIP_TITLES[row.condition]) || wordsOf(row.condition)}
              </th>
              <td className="py-1.5">
                <ul className="flex flex-wrap gap-x-6 gap-y-1">
                  {row.cells.map((cell) => (
                    <li key={wordsOf(cell.option)}>
                      {wordsOf(cell.option)}:{' '}
                      {cell.rate === null ? (
                        <span className="font-bold text-signal-ink">{tell('evidence-page.never')}</span>
                      ) : (
                        <span className="font-semibold">
                          {tell('evidence-page.of', { clean: cell.clean, reps: cell.reps })}
                        </span>
                      )}
                    </li>
                  ))}
                </ul>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Sheet>
  );
}
