import type { Help } from '@/core/readiness';
import type { DogState } from '@/data/live';
import { Sheet } from '@/ui';
import { tell } from './words';

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
    <Sheet
      title={tell('help-list.what-would-help-most')}
      aside={tell('help-list.sessions-on-it', { sessions })}
    >
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
              <span className="font-semibold">
                {tell('help-list.in-100', { gain: { number: one.gain * 100, digits: 1 } })}
              </span>
              <span className="block text-sm text-ink-soft">
                {tell('help-list.points-an-hour', {
                  error: { number: one.error * 100, digits: 1 },
                  units: { number: one.units * pointsPerUnit, digits: 1 },
                  gainPerHour: { number: one.gainPerHour * 100, digits: 1 },
                })}
              </span>
            </span>
          </li>
        ))}
      </ol>
      {close.length > 0 && (
        <p className="mt-2 text-sm leading-snug">
          {tell('help-list.too-close-to-the-first-to-call', { close: close.map(title).join(', ') })}
        </p>
      )}
    </Sheet>
  );
}
