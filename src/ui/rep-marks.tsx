import type { KeptMark } from '@/core/evidence';
import type { StandingRep } from '@/core/log';
import type { FaultRef } from '@/core/rulebooks';
import { tell } from '@/words/shell';

/**
 * How a rep is drawn. Shape first: a stroke for clean, a stroke with a notch for flawed, an open
 * circle for a miss.
 */
export type RepMark = {
  readonly key: string;
  readonly shape: 'clean' | 'flawed' | 'miss' | 'none';
  /** Not the dog's: handler, apparatus or environment; drawn with a roof. */
  readonly notDog: boolean;
  readonly aided: boolean;
  readonly words: string;
};

type Judged = {
  readonly id: string;
  readonly outcome: 'clean' | 'flawed' | 'miss' | 'none';
  readonly cause: string;
  readonly aided: boolean;
};

const OUTCOMES: Readonly<Record<Judged['outcome'], string>> = {
  clean: tell('rep-marks.clean'),
  flawed: tell('rep-marks.flawed'),
  miss: tell('rep-marks.miss'),
  none: tell('rep-marks.neither'),
};
const CAUSES: Readonly<Record<string, string>> = {
  handler: tell('rep-marks.handler'),
  apparatus: tell('rep-marks.kit'),
  environment: tell('rep-marks.place'),
};

/** A rep's mark, with its words: "flawed: crept towards you, handler". */
export function repMark(rep: Judged, fault: string | null): RepMark {
  const words = [
    `${OUTCOMES[rep.outcome]}${fault ? `: ${fault.toLowerCase()}` : ''}`,
    CAUSES[rep.cause] ?? '',
    rep.aided ? tell('rep-marks.aided') : '',
  ];
  return {
    key: rep.id,
    shape: rep.outcome,
    notDog: rep.cause !== 'dog',
    aided: rep.aided,
    words: words.filter(Boolean).join(', '),
  };
}

/** The same for a rep as it stands in a log. */
export const standingMark = (
  { id, judged }: Pick<StandingRep, 'id' | 'judged'>,
  fault: string | null,
): RepMark =>
  repMark({ id, outcome: judged.outcome, cause: judged.cause, aided: judged.aids.length > 0 }, fault);

/** The same for what is kept of a bout. */
export const keptMarks = (
  marks: readonly KeptMark[],
  label: (fault: FaultRef | null) => string | null,
): RepMark[] => marks.map((mark) => repMark(mark, label(mark.fault)));

type Props = { readonly marks: readonly RepMark[]; readonly label: string; readonly big?: boolean };

/** A history that reads like a tally stick, in fives. */
export function RepMarks({ marks, label, big = false }: Props) {
  if (marks.length === 0) return <p className="text-sm text-ink-soft">{tell('rep-marks.no-reps-yet')}</p>;
  return (
    <ol aria-label={label} className="flex flex-wrap items-end gap-y-1">
      {marks.map((mark, i) => (
        <li key={mark.key} title={mark.words} className={i % 5 === 4 ? 'mr-2.5' : ''}>
          <span className="sr-only">{mark.words}</span>
          <Mark mark={mark} big={big} />
        </li>
      ))}
    </ol>
  );
}

function Mark({ mark, big }: { readonly mark: RepMark; readonly big: boolean }) {
  const size = big ? { width: 21, height: 42 } : { width: 13, height: 26 };
  return (
    <svg
      {...size}
      viewBox="0 0 14 28"
      aria-hidden="true"
      className="stroke-ink"
      fill="none"
      strokeWidth="3"
      strokeLinecap="round"
    >
      {mark.shape === 'clean' && <path d="M7 8v15" />}
      {mark.shape === 'flawed' && <path d="M7 8v5l4 2.5-4 2.5v5" strokeWidth="2.4" />}
      {mark.shape === 'miss' && <circle cx="7" cy="17" r="4.6" strokeWidth="2.4" />}
      {mark.notDog && <path d="M2 6l5-4 5 4" strokeWidth="2" className="stroke-signal-ink" />}
      {mark.aided && <path d="M3 27h8" strokeWidth="1.8" />}
    </svg>
  );
}

/** The key to the marks, for the foot of a page. */
export function RepMarkKey() {
  const samples: readonly RepMark[] = [
    { key: 'clean', shape: 'clean', notDog: false, aided: false, words: tell('rep-marks.clean') },
    { key: 'flawed', shape: 'flawed', notDog: false, aided: false, words: tell('rep-marks.flawed') },
    { key: 'miss', shape: 'miss', notDog: false, aided: false, words: tell('rep-marks.miss') },
    { key: 'not-dog', shape: 'flawed', notDog: true, aided: false, words: tell('rep-marks.not-the-dogs') },
    { key: 'aided', shape: 'clean', notDog: false, aided: true, words: tell('rep-marks.aided') },
  ];
  return (
    <ul
      className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-ink-soft"
      aria-label={tell('rep-marks.key-to-the-marks')}
    >
      {samples.map((mark) => (
        <li key={mark.key} className="flex items-center gap-1">
          <Mark mark={mark} big={false} />
          {mark.words}
        </li>
      ))}
    </ul>
  );
}
