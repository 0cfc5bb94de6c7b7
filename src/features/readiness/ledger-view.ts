import type { Readiness } from '@/core/readiness';
import {
  cellTotal,
  type Fault,
  faultText,
  type PreparedExercise,
  prepareRules,
  type RuleBook,
  type RuleExercise,
} from '@/core/rulebooks';
import type { ElementId } from '@/core/shared';
import { wordsOf } from '@/words';
import { tell } from './words';

export type LedgerRow = {
  readonly key: string;
  readonly title: string;
  readonly element: ElementId | null;
  readonly lost: number;
  /** Share of the largest loss in the ledger, for the bar. */
  readonly bar: number;
  readonly grounds: string;
  readonly faults: readonly { readonly key: string; readonly label: string; readonly lost: number }[];
};
export type LedgerExercise = {
  readonly key: string;
  readonly title: string;
  readonly maximum: number;
  readonly kept: number;
  readonly rows: readonly LedgerRow[];
};

/**
 * Points available, kept and likely lost, exercise by exercise; every loss opens to its faults and
 * its grounds.
 */
export function ledger(readiness: Readiness, book: RuleBook): LedgerExercise[] {
  const rules = prepareRules(book);
  const { forecast } = readiness;
  const most = Math.max(
    ...forecast.losses.map((loss) => loss.units),
    ...forecast.handlerLosses.map((loss) => loss.units),
    1e-9,
  );
  return rules.exercises.map((scored): LedgerExercise => {
    const exercise = book.exercises.find((candidate) => candidate.id === scored.exercise);
    const context: RowContext = { readiness, scored, exercise, most, pointsPerUnit: rules.pointsPerUnit };
    const rows = [
      ...forecast.losses
        .filter((loss) => loss.exercise === scored.exercise)
        .map((loss) => elementRow(context, loss)),
      handlerRow(context),
    ];
    const maximum = cellTotal(scored) * rules.pointsPerUnit;
    return {
      key: scored.exercise,
      title: exercise?.title ?? scored.exercise,
      maximum,
      kept: maximum - rows.reduce((sum, row) => sum + row.lost, 0),
      rows,
    };
  });
}

type RowContext = {
  readonly readiness: Readiness;
  readonly scored: PreparedExercise;
  readonly exercise: RuleExercise | undefined;
  readonly most: number;
  readonly pointsPerUnit: number;
};

function elementRow(context: RowContext, loss: Readiness['forecast']['losses'][number]): LedgerRow {
  const ground = context.readiness.grounds.find((candidate) => candidate.element === loss.element);
  const sessions = ground?.sessions === 1 ? 'session' : 'sessions';
  return {
    key: loss.part,
    title: context.exercise?.parts.find((part) => part.id === loss.part)?.title ?? loss.part,
    element: loss.element,
    lost: loss.units * context.pointsPerUnit,
    bar: loss.units / context.most,
    grounds:
      ground && ground.counted > 0
        ? tell('ledger-view.reps-in-away', {
            counted: ground.counted,
            sessions: ground.sessions,
            sessions2: sessions,
            away: ground.away,
          })
        : tell('ledger-view.no-rep-yet-a-guess'),
    faults: faultRows(context, (fault) => fault.by === 'dog' && fault.part === loss.part),
  };
}

function handlerRow(context: RowContext): LedgerRow {
  const units =
    context.readiness.forecast.handlerLosses.find((loss) => loss.exercise === context.scored.exercise)
      ?.units ?? 0;
  return {
    key: 'handler',
    title: tell('ledger-view.handlers-slips'),
    element: null,
    lost: units * context.pointsPerUnit,
    bar: units / context.most,
    grounds: tell('ledger-view.your-logged-slips-at-its-elements', {
      partsCount: context.exercise?.parts.length ?? 0,
    }),
    faults: faultRows(context, (fault) => fault.by === 'handler'),
  };
}

function faultRows(
  { readiness, scored, pointsPerUnit }: RowContext,
  wanted: (fault: Fault) => boolean,
): LedgerRow['faults'] {
  return readiness.forecast.faults
    .filter(
      (loss) =>
        loss.exercise === scored.exercise &&
        scored.faults.some(({ fault }) => wanted(fault) && loss.fault.key === fault.id),
    )
    .map((loss) => ({
      key: faultText(loss.fault),
      label: wordsOf(loss.label),
      lost: loss.units * pointsPerUnit,
    }))
    .sort((a, b) => b.lost - a.lost);
}
