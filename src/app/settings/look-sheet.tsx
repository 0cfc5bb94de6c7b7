import { SelectField, Sheet } from '@/ui';
import { TEXT_SIZES, useLook } from '../theme';
import { tell } from './words';

const THEMES = ['device', 'light', 'dusk'] as const;
const CONTRASTS = ['device', 'usual', 'more'] as const;

export function LookSheet() {
  const { theme, contrast, size, choose } = useLook();
  return (
    <Sheet title={tell('settings.how-it-looks')}>
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-3">
        <SelectField
          label={tell('settings.light-or-dark')}
          value={theme ?? 'device'}
          options={THEMES.map((value) => ({ value, words: tell('settings.theme', { theme: value }) }))}
          onChange={(next) => choose({ theme: next === 'device' ? null : next })}
        />
        <SelectField
          label={tell('settings.contrast')}
          value={contrast ?? 'device'}
          options={CONTRASTS.map((value) => ({
            value,
            words: tell('settings.contrasts', { contrast: value }),
          }))}
          onChange={(next) => choose({ contrast: next === 'device' ? null : next })}
        />
        <SelectField
          label={tell('settings.text-size')}
          value={String(size)}
          options={TEXT_SIZES.map((one) => ({
            value: String(one),
            words: tell('settings.size', { size: String(one) }),
          }))}
          onChange={(next) => choose({ size: TEXT_SIZES.find((one) => String(one) === next) ?? 100 })}
        />
      </div>
      <p className="mt-2 text-sm leading-snug text-ink-soft">{tell('settings.size-hint')}</p>
    </Sheet>
  );
}
