import { runText } from '@/data/files';
import { useKennel } from '@/data/live';
import type { Calling } from '@/data/read';
import { Button, Sheet, saveText } from '@/ui';
import { writeInstant } from '@/words';
import type { RunState } from './run-state';
import { tell } from './words';

/** What was called, with its draw: for whoever ran, afterwards, and as a file from the helper’s device. */
export function Called({ state, calling }: { readonly state: RunState; readonly calling: Calling }) {
  const { kennel } = useKennel();
  const { run, marks } = state;
  const text = runText({
    run,
    people: [],
    book: null,
    marks: marks.filter((mark) => mark.by === kennel.device && mark.judge === null),
    script: null,
    calling,
  });
  return (
    <Sheet title={tell('called.what-was-called')} aside={tell('called.seed', { seed: String(calling.seed) })}>
      <p className="leading-snug">
        {tell('called.when', {
          from: writeInstant(calling.startedAt),
          order: { list: calling.order, between: ', ' },
        })}
      </p>
      {calling.drawn.map(({ title, drawn }) => (
        <p key={title} className="leading-snug">
          {tell('calling.drawn', { what: title, drawn: { list: drawn, between: ', ' } })}
        </p>
      ))}
      <ol className="mt-2">
        {calling.steps.map((step) => (
          <li key={step.key} className="flex justify-between gap-4 border-b border-hair py-1 leading-snug">
            <span className={step.at === null ? 'text-ink-soft' : ''}>{step.words}</span>
            <span className="tabular-nums">
              {step.at === null
                ? tell('called.not-called')
                : tell('called.after', { seconds: { number: step.delay, digits: 1 } })}
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-3">
        <Button onClick={() => saveText(`called-${run.name}-${run.day}.json`, text, 'application/json')}>
          {tell('called.save-for-the-handler')}
        </Button>
      </p>
    </Sheet>
  );
}
