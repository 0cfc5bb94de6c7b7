import type { Help } from '@/core/readiness';
import type { DogState } from '@/data/live';
import { Sheet } from '@/ui';
import { writeDigits } from '@/words';
import { tell } from './words';

type Props = {
  readonly help: readonly Help[];
  readonly state: DogState;
  readonly sessions: number;
  readonly pointsPerUnit: number;
};

const SHOWN = 5;
/** A loss of less than one in a hundred is not worth a word. */
const HARM = 0.01;

/** A change with its sign: of a share in hundredths. */
const signed = (value: number, by = 100): string =>
  `${value < 0 ? '−' : '+'}${writeDigits(Math.abs(value * by), 1)}`;

/** What some sessions on each element would add to the chance of passing. */
export function HelpList({ help, state, sessions, pointsPerUnit }: Props) {
  const title = (one: Help): string =>
    state.work.elements.find((element) => element.id === one.element)?.title ?? one.element;
  const shown = help.slice(0, SHOWN);
  const close = shown.filter((one) => one.tooClose);
  const harms = shown.filter((one) => one.gain.low < -HARM);
  return (
    <Sheet
      title={tell('help-list.what-would-help-most')}
      aside={tell('help-list.sessions-on-it', { sessions })}
    >
      <ol>
        {shown.map((one, i) => (
          <li
            key={one.element}
            className="flex flex-col border-b border-hair py-1.5 sm:flex-row sm:items-baseline sm:justify-between sm:gap-4"
          >
            <span className={`leading-snug ${i === 0 ? 'text-lg font-bold' : ''}`}>
              {i + 1}. {title(one)}
            </span>
            <span className="leading-snug sm:shrink-0 sm:text-right">
              <span className="font-semibold">
                {tell('help-list.in-100', { gain: signed(one.gain.mid) })}
              </span>
              <span className="block text-sm text-ink-soft">
                {tell('help-list.range', {
                  low: signed(one.gain.low),
                  high: signed(one.gain.high),
                  best: one.bestIn,
                })}
              </span>
              <span className="block text-sm text-ink-soft">
                {tell('help-list.points-an-hour', {
                  units: signed(one.units * pointsPerUnit, 1),
                  timed: one.gainPerHour !== null,
                  gainPerHour: { number: (one.gainPerHour ?? 0) * 100, digits: 1 },
                })}
              </span>
            </span>
          </li>
        ))}
      </ol>
      {harms.length > 0 && (
        <p className="mt-2 text-sm leading-snug">
          {tell('help-list.may-do-harm', { harms: harms.map(title).join(', ') })}
        </p>
      )}
      {close.length > 0 && (
        <p className="mt-2 text-sm leading-snug">
          {tell('help-list.too-close-to-the-first-to-call', { close: close.map(title).join(', ') })}
        </p>
      )}
    </Sheet>
  );
}
