/** Languages by whose custom numbers and days can be written here, each by its own name. */
export const CUSTOMS = [
  ['en-GB', 'English, day first'],
  ['en-US', 'English, month first'],
  ['de', 'Deutsch'],
  ['fr', 'français'],
  ['es', 'español'],
  ['it', 'italiano'],
  ['nl', 'Nederlands'],
  ['sv', 'svenska'],
] as const;

/** Days on which a week can begin: 1 Monday … 7 Sunday. */
export const WEEK_STARTS = [1, 6, 7] as const;
export type WeekStart = (typeof WEEK_STARTS)[number];

const LOCALE_KEY = 'regulon-locale';
const WEEK_KEY = 'regulon-week-start';

/** The language somebody chose for numbers and days; null where the browser's own ones hold. */
export const chosenLocale = (): string | null => {
  const kept = globalThis.localStorage?.getItem(LOCALE_KEY);
  return CUSTOMS.find(([id]) => id === kept)?.[0] ?? null;
};

/** Takes the choice, null for the browser's own; pages that are open change when they are loaded again. */
export function takeChosenLocale(id: string | null): void {
  if (id === null) globalThis.localStorage?.removeItem(LOCALE_KEY);
  else globalThis.localStorage?.setItem(LOCALE_KEY, id);
}

/** The person's languages, the chosen one first. */
export const languagesHere = (browser: readonly string[]): readonly string[] => {
  const chosen = chosenLocale();
  return chosen === null ? browser : [chosen, ...browser];
};

/** The day somebody's week begins on; null where the language decides. */
export const chosenWeekStart = (): WeekStart | null => {
  const kept = Number(globalThis.localStorage?.getItem(WEEK_KEY));
  return WEEK_STARTS.find((one) => one === kept) ?? null;
};

export function takeWeekStart(start: WeekStart | null): void {
  if (start === null) globalThis.localStorage?.removeItem(WEEK_KEY);
  else globalThis.localStorage?.setItem(WEEK_KEY, String(start));
}
