import type { LeftOut, Planning } from '@/data/read';
import { Notice } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { titlesOf } from './plan-view';
import { tell } from './words';

/** What the plan leaves out, and why: a dog off work, a sign that stands, a class that is not broken down. */
export function LeftLines({ planning }: { readonly planning: Planning }) {
  const lines = leftInWords(planning);
  if (lines.length === 0) return null;
  return (
    <div className="mb-4 grid gap-2">
      {lines.map((line) => (
        <Notice key={line} tone="alert">
          {line}
        </Notice>
      ))}
    </div>
  );
}

/**
 * The same in sentences.
 * @internal
 */
export function leftInWords(planning: Planning): string[] {
  const titles = titlesOf(planning);
  return planning.left.map((one) => inWords(one, titles, planning));
}

function inWords(one: LeftOut, titles: ReturnType<typeof titlesOf>, { dogs }: Planning): string {
  const name = dogs.find((dog) => dog.id === one.dog)?.name ?? '';
  switch (one.kind) {
    case 'off-work':
      return tell('left-lines.off-work', {
        name,
        until: one.until === null ? '' : writeDay(one.until),
        known: one.until === null ? 'no' : 'yes',
      });
    case 'sign':
      return tell('left-lines.sign', {
        title: titles.get(one.element) ?? '',
        name,
        reason: wordsOf(one.reason),
      });
    case 'class':
      return tell('left-lines.class', { title: one.trial.title, reason: wordsOf(one.reason) });
  }
}
