import type { Help } from '@/core/readiness';
import type { DogState } from '@/data/live';
import { Sheet } from '@/ui';

type Props = {
  readonly help: readonly Help[];
  readonly state: DogState;
  readonly sessions: number;
  readonly pointsPerUnit: number;
};

/** What some sessions on each element would add to the chance of passing. */
export function HelpList({ help, state, sessions, pointsPerUnit }: Props) {
  const title = (one: Help): string =>
    state.work.elements.find((element) => element.id === one.element)?.title ?? one.element;
  const close = help.filter((one) => one.tooClose);
  return (
    <Sheet title="What would help most" aside={`${sessions} sessions on it`}>
      <ol>
        {help.slice(0, 5).map((one, i) => (
          <li
            key={one.element}
            className="flex items-baseline justify-between gap-4 border-b border-hair py-1.5"
          >
            <span className={`leading-snug ${i === 0 ? 'text-lg font-bold' : ''}`}>
              {i + 1}. {title(one)}
            </span>
            <span className="shrink-0 text-right leading-snug">
              <span className="font-semibold">+{(one.gain * 100).toFixed(1)} in 100</span>
              <span className="block text-sm text-ink-soft">
                ± {(one.error * 100).toFixed(1)}, +{(one.units * pointsPerUnit).toFixed(1)} points;{' '}
                {(one.gainPerHour * 100).toFixed(1)} an hour
              </span>
            </span>
          </li>
        ))}
      </ol>
      {close.length > 0 && (
        <p className="mt-2 text-sm leading-snug">
          Too close to the first to call: {close.map(title).join(', ')}.
        </p>
      )}
    </Sheet>
  );
}
