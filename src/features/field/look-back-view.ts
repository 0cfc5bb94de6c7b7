import type { Folded } from '@/core/log';
import { workAndRest } from '@/core/review';
import type { LookBack } from '@/data/read';
import { writeDay, writeNumber } from '@/words';
import { tell } from './later-words';

/** Where the bout could have ended, with its grounds; or that nothing tells, and why. */
export function hindsightInWords({ hindsight, counted }: LookBack, folded: Pick<Folded, 'reps'>): string {
  switch (hindsight.kind) {
    case 'few':
      return tell('look-back-view.few', { reps: hindsight.reps });
    case 'nothing':
      return tell('look-back-view.nothing', { reps: counted.length });
    case 'point': {
      const { after, factor, from, to } = hindsight;
      const clean = (list: LookBack['counted']): number =>
        list.filter((one) => one.judged.outcome === 'clean').length;
      const [before, rest] = [counted.slice(0, after), counted.slice(after)];
      return tell('look-back-view.point', {
        rep: placeIn(folded, before.at(-1)?.id),
        before: clean(before),
        ofBefore: before.length,
        rest: clean(rest),
        ofRest: rest.length,
        factor: Math.round(factor),
        from: placeIn(folded, counted[from - 1]?.id),
        to: placeIn(folded, counted[to - 1]?.id),
        sure: from === to ? 'yes' : 'no',
      });
    }
  }
}

/** The number of a rep in its bout, from 1; 0 where it is not among them. */
export const placeIn = ({ reps }: Pick<Folded, 'reps'>, id: string | undefined): number =>
  1 + reps.findIndex((one) => one.id === id);

/** The person’s own mark beside what the counts say. */
export function ownMarkInWords(
  back: LookBack,
  folded: Pick<Folded, 'reps'>,
  stop: string | null,
): string | null {
  if (stop === null) return null;
  const own = placeIn(folded, stop);
  if (own === 0) return null;
  if (back.hindsight.kind !== 'point') return tell('look-back-view.own', { own });
  const said = placeIn(folded, back.counted[back.hindsight.after - 1]?.id);
  return tell('look-back-view.own-beside', { own, said, apart: Math.abs(own - said) });
}

/** The same step the time before, side by side. */
export function besideInWords({ beside }: LookBack): string[] {
  if (!beside) return [];
  return [beside.now, beside.before].map((one, i) =>
    tell('look-back-view.beside', {
      which: i === 0 ? 'now' : 'before',
      day: writeDay(one.day),
      clean: one.clean,
      reps: one.reps,
      answer: one.answer === null ? '' : writeNumber(Math.round(one.answer * 10) / 10),
      timed: one.answer === null ? 'no' : 'yes',
    }),
  );
}

/** Seconds of work and of rest, and what was paid. */
export function secondsInWords({ reps }: Pick<Folded, 'reps'>): string[] {
  const found = workAndRest(reps);
  const paid = reps.filter((one) => one.paid.size !== null && one.paid.size !== 'none').length;
  const told = reps.filter((one) => one.paid.size !== null).length;
  return [
    ...(found
      ? [tell('look-back-view.seconds', { work: Math.round(found.work), rest: Math.round(found.rest) })]
      : []),
    ...(told > 0 ? [tell('look-back-view.paid', { paid, told })] : []),
  ];
}
