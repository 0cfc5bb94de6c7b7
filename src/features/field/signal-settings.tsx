import { SelectField } from '@/ui';
import { useHand } from './hand-store';

const RESTS = [30, 60, 90, 120, 180];

/**
 * How the handler is told things, and with how many buttons a rep is logged. Everything that sounds
 * is off until it is switched on.
 */
export function SignalSettings() {
  const hand = useHand();
  const tick = (
    key: 'leftHanded' | 'oneButton' | 'earpiece' | 'sounds' | 'speech',
    words: string,
    hint = '',
  ) => (
    <label className="flex min-h-14 items-center gap-2 text-lg leading-snug">
      <input
        type="checkbox"
        className="size-6 shrink-0 accent-(--ink)"
        checked={hand[key]}
        onChange={() => hand.set({ [key]: !hand[key] })}
      />
      <span>
        {words}
        {hint !== '' && <span className="block text-base text-ink-soft">{hint}</span>}
      </span>
    </label>
  );
  return (
    <div>
      {tick('leftHanded', 'For the left hand')}
      {tick(
        'oneButton',
        'One button logs a rep',
        'Cue, response, marker: the marker logs it clean. Held down for a moment: a miss.',
      )}
      {tick(
        'earpiece',
        'I wear an earpiece',
        'A low hum in it when a wait is over. Without one the telephone would become the cue.',
      )}
      {tick(
        'sounds',
        'A hum when a rest is over',
        'From the loudspeaker; never before a response, and not like a marker.',
      )}
      {tick(
        'speech',
        'Speak the calls',
        'Only in your own code words: write them where the calls are shown. Best in an earpiece.',
      )}
      <SelectField
        label="Rest after a full set"
        beside
        className="min-h-14 text-lg"
        look="min-h-14 bg-paper px-2"
        value={String(hand.rest)}
        options={RESTS.map((seconds) => ({ value: String(seconds), words: `${seconds} s` }))}
        onChange={(rest) => hand.set({ rest: Number(rest) })}
      />
    </div>
  );
}
