import { SelectField } from '@/ui';
import { EarSettings } from './ear-settings';
import { useHand } from './hand-store';
import { tell } from './later-words';

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
    <label className="flex min-h-14 items-center gap-2 py-1.5 text-lg leading-snug">
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
      {tick('leftHanded', tell('signal-settings.for-the-left-hand'))}
      {tick(
        'oneButton',
        tell('signal-settings.one-button-logs-a-rep'),
        tell('signal-settings.cue-response-marker-the-marker'),
      )}
      {tick(
        'earpiece',
        tell('signal-settings.i-wear-an-earpiece'),
        tell('signal-settings.a-low-hum-in-it-when-a-wait-is'),
      )}
      {tick(
        'sounds',
        tell('signal-settings.a-hum-when-a-rest-is-over'),
        tell('signal-settings.from-the-loudspeaker-never-before'),
      )}
      {tick(
        'speech',
        tell('signal-settings.speak-the-calls'),
        tell('signal-settings.only-in-your-own-code-words-write'),
      )}
      <EarSettings />
      <SelectField
        label={tell('signal-settings.rest-after-a-full-set')}
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
