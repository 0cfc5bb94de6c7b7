import { useMemo } from 'react';
import { Link } from 'react-router';
import { floorOf } from '@/core/readiness';
import { classesAround, type RuleBook } from '@/core/rulebooks';
import { ok, type Result } from '@/core/shared';
import { type DogState, useKennelWithDog } from '@/data/live';
import { classEvidence, inUse, type Trial } from '@/data/read';
import { sayClassBefore } from '@/data/write';
import { newestOf, SelectField, Sheet, useLatest } from '@/ui';
import { writeShare } from '@/words';
import { ask } from '@/workers/client';
import { insteadWords } from './instead-view';
import { tell } from './words';

const NONE = '';

type Props = { readonly trial: Trial; readonly state: DogState; readonly book: RuleBook };

/**
 * The class that comes before this one in its row: what could be entered on the same day instead, with its
 * chance there, and the one that comes after. Which class comes before is said here where no book says it.
 */
export function InsteadSheet({ trial, state, book }: Props) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const books = inUse(state.work.ruleBooks).map((record) => record.book);
  const { below, above } = classesAround(book, books);
  const [lower] = below;
  const input = useMemo(
    () =>
      lower && trial.day >= today
        ? classEvidence({ ...trial, ruleBookId: lower.id }, state.work, state.evidence, today)
        : null,
    [lower, trial, state, today],
  );
  const job = useMemo(() => {
    if (!input?.ok || floorOf(input.value)) return null;
    const task = {
      kind: 'entry-chances',
      input: { ...input.value, trialDay: null, closes: null },
      assumptions: trial.assumptions,
      seed: trial.seed,
      days: [trial.day],
    } as const;
    return async (signal: AbortSignal): Promise<Result<number>> => {
      const found = await ask(task, { signal });
      if (!found.ok) return found;
      const chances = found.value[0] ?? [];
      return ok(chances.reduce((sum, one) => sum + one, 0) / Math.max(1, chances.length));
    };
  }, [input, trial]);
  const latest = useLatest(job);
  const others = books.filter((one) => one.id !== book.id && one.series?.place !== book.series?.place);
  if (trial.day < today || (others.length === 0 && !lower)) return null;
  const share = newestOf(latest);
  return (
    <Sheet title={tell('instead.title')} label={tell('instead.title')}>
      {lower && (
        <p role="status" className="text-lg leading-snug">
          {insteadWords({
            lower: lower.title,
            dog: dog.name,
            share: share === null ? null : { at: share, words: writeShare(share) },
            goFrom: trial.assumptions.goFrom,
            why: !input?.ok ? 'apart' : floorOf(input.value) ? 'thin' : 'working',
          })}{' '}
          {!input?.ok && (
            <Link
              className="underline underline-offset-4"
              to={`/${kennel.name}/breakdown/class?book=${lower.id}`}
            >
              {tell('instead.break-down')}
            </Link>
          )}
        </p>
      )}
      {above[0] && <p className="mt-1 leading-snug">{tell('instead.above', { title: above[0].title })}</p>}
      {others.length > 0 && (
        <SelectField
          className="mt-2"
          label={tell('instead.before', { title: book.title })}
          value={lower?.id ?? NONE}
          options={[
            { value: NONE, words: tell('instead.none') },
            ...others.map((one) => ({ value: one.id as string, words: `${one.title}, ${one.edition}` })),
          ]}
          onChange={(value) =>
            void done(
              tell('instead.said'),
              sayClassBefore(kennel, book.id, others.find((one) => one.id === value)?.id ?? null),
            )
          }
        />
      )}
    </Sheet>
  );
}
