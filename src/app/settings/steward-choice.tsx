import { useStewardVoice } from '@/features/trials/voice';
import { SelectField } from '@/ui';
import { tell } from './words';

/** How the steward of a mock trial is heard. */
export function StewardChoice() {
  const { how, choose, aloud, speakAloud } = useStewardVoice();
  return (
    <section aria-label={tell('settings.steward')} className="border-t border-hair">
      <SelectField
        label={tell('settings.steward-heard')}
        beside
        className="min-h-14 text-lg"
        look="min-h-14 bg-paper px-2"
        value={how}
        options={(['speech', 'vibration'] as const).map((value) => ({
          value,
          words: tell('settings.steward-how', { how: value }),
        }))}
        onChange={choose}
      />
      <label className="flex min-h-14 items-center gap-2 text-lg leading-snug">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-(--ink)"
          checked={aloud}
          onChange={() => speakAloud(!aloud)}
        />
        {tell('settings.helper-aloud')}
      </label>
    </section>
  );
}
