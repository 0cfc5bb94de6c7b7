import { useLiveQuery } from 'dexie-react-hooks';
import { addDays } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { keptLogs, keptOfDog, listDogs, marksBeside, workOf } from '@/data/read';
import { PageHead, Sheet } from '@/ui';
import { handledLines, handlerRows, insteadLines, markLines, WEEKS } from './handler-view';
import { ReviewTabs } from './review-tabs';
import { tell } from './words';

/** What is the handler's, week by week, with every dog: where points go that no dog loses. */
export function HandlerPage() {
  const { kennel, today } = useKennelWithDog();
  const found = useLiveQuery(async () => {
    const dogs = await listDogs(kennel);
    const works = new Map(
      await Promise.all(dogs.map(async (dog) => [dog.id, await workOf(kennel, dog.id)] as const)),
    );
    const bouts = (await Promise.all(dogs.map((dog) => keptOfDog(kennel, dog.id)))).flat();
    const shown = bouts.filter((one) => one.day <= today);
    const recent = shown.filter((one) => one.day > addDays(today, -7 * WEEKS) && !one.link);
    const logs = await keptLogs(
      kennel,
      recent.map((one) => one.id),
    );
    const helped = new Map(
      [...logs].map(([id, log]) => [id as string, log.marks.filter((one) => one.aided).length] as const),
    );
    return { works, bouts: shown, helped, marks: await marksBeside(kennel) };
  }, [kennel, today]);
  if (!found) return <p className="text-lg">{tell('review-room.reading-the-log')}</p>;
  const { weeks, reps, rows } = handlerRows(found.bouts, found.works, today, found.helped);
  const [worst] = rows;
  const handled = handledLines(found.bouts);
  const instead = insteadLines(found.bouts);
  return (
    <>
      <PageHead
        title={
          worst
            ? tell('handler-page.most', { title: worst.title, total: worst.total })
            : tell('handler-page.nothing')
        }
      >
        {worst
          ? worst.costs.length > 0
            ? tell('handler-page.costs', { where: worst.costs.join(', ') })
            : tell('handler-page.costs-nothing')
          : tell('handler-page.how-it-is-said')}
      </PageHead>
      <ReviewTabs />
      <Sheet title={tell('handler-page.by-week')} className="mb-5">
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is reached by keys */}
        <section className="overflow-x-auto" aria-label={tell('handler-page.table')} tabIndex={0}>
          <table className="w-full text-left">
            <thead>
              <tr className="border-b-2 border-ink text-sm">
                <th className="py-1 pr-3">{tell('handler-page.what')}</th>
                {weeks.map((week) => (
                  <th key={week} className="px-1 text-right font-normal">
                    {week}
                  </th>
                ))}
                <th className="pl-3">{tell('handler-page.charged')}</th>
              </tr>
            </thead>
            <tbody className="divide-y divide-hair">
              {rows.map((row) => (
                <tr key={row.key}>
                  <th scope="row" className="py-1.5 pr-3 font-semibold">
                    {row.title}
                  </th>
                  {row.counts.map((count, i) => (
                    <td key={weeks[i]} className="px-1 text-right">
                      {count === 0 ? '·' : count}
                    </td>
                  ))}
                  <td className="pl-3 leading-snug">{row.costs.length > 0 ? row.costs.join(', ') : '–'}</td>
                </tr>
              ))}
              <tr>
                <th scope="row" className="py-1.5 pr-3 font-normal text-ink-soft">
                  {tell('handler-page.all-reps')}
                </th>
                {reps.map((count, i) => (
                  <td key={weeks[i]} className="px-1 text-right text-ink-soft">
                    {count}
                  </td>
                ))}
                <td />
              </tr>
            </tbody>
          </table>
        </section>
      </Sheet>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Lines
          title={tell('handler-page.after-an-error')}
          lines={handled}
          none={tell('handler-page.after-an-error-none')}
        />
        <Lines
          title={tell('handler-page.marks')}
          lines={markLines(found.marks)}
          none={tell('handler-page.marks-none')}
        />
        <Lines
          title={tell('handler-page.asked-and-done')}
          lines={instead}
          none={tell('handler-page.asked-and-done-none')}
        />
      </div>
    </>
  );
}

function Lines({
  title,
  lines,
  none,
}: {
  readonly title: string;
  readonly lines: readonly string[];
  readonly none: string;
}) {
  return (
    <Sheet title={title}>
      {lines.length === 0 ? (
        <p className="leading-snug">{none}</p>
      ) : (
        <ul className="grid gap-1 leading-snug">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}
