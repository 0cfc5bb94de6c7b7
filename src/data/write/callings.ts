import { type Result, type RuleBookId, type RunId, say } from '@/core/shared';
import type { Script } from '@/core/trials';
import type { Kennel } from '@/data/kennel';
import type { Calling, New, ScriptRecord } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

/**
 * How a class is called, in the person’s own words: changed by a function of what is stored (of `usual`, where
 * nothing is yet). Fails with `delay` where a range is upside down.
 */
export function changeScript(
  kennel: Kennel,
  book: RuleBookId,
  usual: Script,
  change: (script: Script) => Script,
): Promise<Result<Undo<ScriptRecord>>> {
  return transact(kennel, ['scripts'], async (write) => {
    const script = change((await write.get('scripts', book)) ?? usual);
    const wrong = script.steps.find(({ delay }) => delay.from > delay.to);
    if (wrong) refuse('delay', wrong.key, say('data.callings.from-is-more-than-to'));
    return write.put('scripts', {
      id: book,
      steps: script.steps.map((step) => ({ ...step, delay: { ...step.delay } })),
      draws: script.draws.map((draw) => ({ ...draw, from: [...draw.from] })),
    });
  });
}

/** The calling of a run begins: only now there is a seed. A run that is being called goes on as it was drawn. */
export function beginCalling(kennel: Kennel, calling: New<Calling>): Promise<Result<Undo<Calling>>> {
  return transact(kennel, ['callings'], async (write) => {
    const known = await write.get('callings', calling.id);
    return known && known.endedAt === null ? known : write.put('callings', calling);
  });
}

/** A step was called, or all are; `at` as the device has it. Fails with `gone`. */
export function noteCalled(
  kennel: Kennel,
  run: RunId,
  said: { readonly step: string } | { readonly ended: true },
): Promise<Result<Undo<Calling>>> {
  return transact(kennel, ['callings'], async (write) => {
    const stored =
      (await write.get('callings', run)) ??
      refuse('gone', run, say('data.runs.this-run-is-not-there-any-more'));
    if ('ended' in said) return write.put('callings', { ...stored, endedAt: kennel.now() });
    const steps = stored.steps.map((step) =>
      step.key === said.step && step.at === null ? { ...step, at: kennel.now() } : step,
    );
    return write.put('callings', { ...stored, steps });
  });
}
