let locale = 'en';

/** The language by whose custom numbers are written and read; that of the words is another matter. */
export const numberLocale = (): string => locale;

/** Takes the first of the browser's languages that numbers can be written in. */
export function takeNumberLocale(languages: readonly string[]): void {
  locale = Intl.NumberFormat.supportedLocalesOf([...languages])[0] ?? 'en';
}
