import { format, type Locale } from 'date-fns';
import { enGB } from 'date-fns/locale/en-GB';
import type { Day } from '@/core/shared';
import { chosenWeekStart, languagesHere } from './customs';
import { takeNumberLocale } from './locale';

/** Languages whose days this program writes; others read them as English does. */
const LOCALES: Readonly<Record<string, () => Promise<Locale>>> = {
  'en-US': async () => (await import('date-fns/locale/en-US')).enUS,
  de: async () => (await import('date-fns/locale/de')).de,
  fr: async () => (await import('date-fns/locale/fr')).fr,
  es: async () => (await import('date-fns/locale/es')).es,
  it: async () => (await import('date-fns/locale/it')).it,
  nl: async () => (await import('date-fns/locale/nl')).nl,
  sv: async () => (await import('date-fns/locale/sv')).sv,
};

let locale: Locale = enGB;

/** Takes the person's own way to write days and numbers: as chosen, else the browser's; before the first page. */
export async function takeLocale(browser: readonly string[]): Promise<void> {
  const languages = languagesHere(browser);
  takeNumberLocale(languages);
  for (const language of languages) {
    if (language.startsWith('en') && language !== 'en-US') {
      locale = enGB;
      return;
    }
    const load = LOCALES[language] ?? LOCALES[language.slice(0, 2)];
    if (!load) continue;
    // Without a network, and never loaded before: English rather than no page.
    locale = await load().catch(() => enGB);
    return;
  }
}

/** The day a week begins on, 1 Monday … 7 Sunday: as chosen, else as the language has it. */
export const weekStart = (): number => chosenWeekStart() ?? (locale.options?.weekStartsOn || 7);

/** A calendar day as the person writes it: "15 Jun 2026". Noon: no time zone moves it to another day. */
export const writeDay = (day: Day): string => format(new Date(`${day}T12:00:00`), 'PP', { locale });

/** The day and hour of an instant: "15 Jun 2026, 16:30". */
export const writeDayAndHour = (at: number): string => format(at, 'PPp', { locale });

/** The time of day of an instant, with its seconds. */
export const writeTime = (at: number): string => format(at, 'pp', { locale });

/** A day of a week, short: "Tue 1 Dec", as the person orders day and month. */
export const writeWeekday = (day: Day): string =>
  format(new Date(`${day}T12:00:00`), locale.code === 'en-US' ? 'EEE MMM d' : 'EEE d MMM', { locale });

/** The name of a weekday, 1 Monday … 7 Sunday: "Monday". 2024-01-01 was one. */
export const nameOfWeekday = (weekday: number): string =>
  format(new Date(2024, 0, weekday, 12), 'EEEE', { locale });
