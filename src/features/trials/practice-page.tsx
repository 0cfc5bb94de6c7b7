import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useNavigate } from 'react-router';
import type { PracticeRun } from '@/core/trials';
import { useKennel } from '@/data/live';
import { listPractice } from '@/data/read';
import { putRunAway, startPractice } from '@/data/write';
import { Button, PageHead, Sheet } from '@/ui';
import { handView, type PracticeShelf, practiceLines } from './practice-view';
import { tell } from './practice-words';
import { tell as tellTrials } from './words';

/** Judging a practice run: a new sheet, and there one goes. */
export function useJudging(shelf: PracticeShelf): (run: PracticeRun) => Promise<void> {
  const { kennel, today, done } = useKennel();
  const navigate = useNavigate();
  return async (run) => {
    const book = shelf.books.find(({ id }) => id === run.book);
    if (!book) return;
    const started = await done(null, startPractice(kennel, run, book, today));
    if (started.ok) await navigate(`/${kennel.name}/trials/practice/${started.value.made.id}`);
  };
}

/** Runs to learn judging by, what was judged so far, and one’s own hand. */
export function PracticePage({ shelf }: { readonly shelf: PracticeShelf }) {
  const { kennel, done } = useKennel();
  const judge = useJudging(shelf);
  const judged = useLiveQuery(async () => listPractice(kennel), [kennel]);
  if (!judged) return null;
  const lines = practiceLines(shelf, judged);
  const hand = handView(lines);
  return (
    <>
      <PageHead title={tell('practice.page')}>{tell('practice.what-for')}</PageHead>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <Sheet title={tell('practice.runs')}>
          <ul>
            {shelf.runs.map((run) => (
              <li key={run.id} className="flex flex-wrap items-center gap-3 border-b border-hair py-2">
                <span className="flex-1 leading-snug">
                  <span className="font-semibold">{run.title}</span>
                  <span className="block text-sm text-ink-soft">
                    {tell('practice.book', {
                      book: shelf.books.find(({ id }) => id === run.book)?.title ?? '',
                    })}
                    {', '}
                    {tell('practice.times', { n: judged.filter(({ script }) => script === run.id).length })}
                  </span>
                </span>
                <Button
                  look="ink"
                  aria-label={tell('practice.judge-title', { title: run.title })}
                  onClick={() => void judge(run)}
                >
                  {tell('practice.judge')}
                </Button>
              </li>
            ))}
          </ul>
        </Sheet>
        <div className="grid gap-6">
          <Sheet title={tell('practice.hand')} label={tell('practice.hand')}>
            {hand.lines.length === 0 && <p className="leading-snug">{tell('practice.hand-thin')}</p>}
            {hand.so && <p className="text-lg font-bold leading-snug">{hand.so}</p>}
            <ul className="leading-snug">
              {hand.lines.map((line) => (
                <li key={line} className="border-b border-hair py-1">
                  {line}
                </li>
              ))}
            </ul>
            {hand.trend && <p className="mt-2 leading-snug">{hand.trend}</p>}
          </Sheet>
          <Sheet title={tell('practice.judged')}>
            {lines.length === 0 && <p className="leading-snug">{tell('practice.none')}</p>}
            <ul>
              {lines.map((line) => (
                <li key={line.id} className="flex flex-wrap items-center gap-x-3 border-b border-hair">
                  <Link
                    className="min-h-11 flex-1 content-center leading-snug underline underline-offset-4"
                    to={`/${kennel.name}/trials/practice/${line.id}`}
                  >
                    {line.title}
                    <span className="block text-sm text-ink-soft">{line.said}</span>
                  </Link>
                  <Button
                    look="quiet"
                    aria-label={tellTrials('trials-room.put-away-whose', { name: line.title, day: '' })}
                    onClick={() =>
                      void done(
                        tellTrials('trials-room.put-away-done'),
                        putRunAway(kennel, line.id as Parameters<typeof putRunAway>[1], true),
                      )
                    }
                  >
                    {tellTrials('trials-room.put-away')}
                  </Button>
                </li>
              ))}
            </ul>
          </Sheet>
        </div>
      </div>
    </>
  );
}
