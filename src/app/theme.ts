import { create } from 'zustand';

export type Theme = 'light' | 'dusk';
export type Contrast = 'usual' | 'more';
/** Parts of the usual size of letters, in per cent. */
export const TEXT_SIZES = [100, 115, 130] as const;
export type TextSize = (typeof TEXT_SIZES)[number];

type Chosen = {
  /** Null: as the device asks. */
  readonly theme: Theme | null;
  readonly contrast: Contrast | null;
  readonly size: TextSize;
};
const KEYS = { theme: 'regulon-theme', contrast: 'regulon-contrast', size: 'regulon-text-size' } as const;

type Look = Chosen & {
  /** What is shown now, by the choice or by the device. */
  readonly shown: Theme;
  readonly choose: (change: Partial<Chosen>) => void;
};

const DARK = '(prefers-color-scheme: dark)';
const MORE = '(prefers-contrast: more)';
const asks = (what: string): boolean => matchMedia(what).matches;
const themeOf = ({ theme }: Chosen): Theme => theme ?? (asks(DARK) ? 'dusk' : 'light');

/** How the page looks: the person's choice, and until then what the device asks for. */
export const useLook = create<Look>((set, get) => {
  const chosen = kept();
  return {
    ...chosen,
    shown: themeOf(chosen),
    choose: (change) => {
      for (const [name, value] of Object.entries(change)) {
        const key = KEYS[name as keyof Chosen];
        if (value === null) localStorage.removeItem(key);
        else localStorage.setItem(key, String(value));
      }
      set(change);
      set({ shown: themeOf(get()) });
      showLook();
    },
  };
});

function kept(): Chosen {
  const [theme, contrast] = [localStorage.getItem(KEYS.theme), localStorage.getItem(KEYS.contrast)];
  const size = Number(localStorage.getItem(KEYS.size));
  return {
    theme: theme === 'light' || theme === 'dusk' ? theme : null,
    contrast: contrast === 'usual' || contrast === 'more' ? contrast : null,
    size: TEXT_SIZES.find((one) => one === size) ?? 100,
  };
}

/** Where the device decides, the page follows it, also when evening comes while it is open. */
export function followDevice(): void {
  const follow = (): void => useLook.getState().choose({});
  for (const what of [DARK, MORE]) matchMedia(what).addEventListener('change', follow);
}

/** Puts the look on the page, before it is drawn and after each choice. */
export function showLook(): void {
  const { shown, contrast, size } = useLook.getState();
  const root = document.documentElement;
  root.dataset.theme = shown;
  root.dataset.contrast = contrast ?? (asks(MORE) ? 'more' : 'usual');
  root.style.setProperty('--letters', `${size}%`);
  document
    .querySelector('meta[name="theme-color"]')
    ?.setAttribute('content', shown === 'light' ? '#f6f1e3' : '#121719');
}
