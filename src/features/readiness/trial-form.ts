import * as v from 'valibot';
import { type Day, isDay } from '@/core/shared';
import { tell } from './words';

const NAME = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, tell('trial-form.a-trial-needs-a-name')),
  v.maxLength(120, tell('trial-form.a-shorter-name-please-at-most-120')),
);

/** The fields of a trial ahead, as typed; `today` is the first day that it can be on. */
export const trialFields = (today: Day) =>
  v.pipe(
    v.object({
      book: v.pipe(v.string(), v.minLength(1, tell('trial-form.a-trial-needs-a-rule-book-read-one'))),
      title: NAME,
      day: v.pipe(
        v.string(),
        v.check((day) => isDay(day) && day >= today, tell('trial-form.say-on-which-day-it-is-today-or')),
      ),
      closes: v.pipe(
        v.string(),
        v.check((day) => day === '' || isDay(day), tell('trial-form.say-on-which-day-entries-close-or')),
      ),
    }),
    v.forward(
      v.check(
        ({ day, closes }) => closes === '' || !isDay(day) || closes <= day,
        tell('trial-form.entries-close-on-the-day-of-the'),
      ),
      ['closes'],
    ),
  );
export type TrialFields = v.InferOutput<ReturnType<typeof trialFields>>;

/** Points as typed, with comma or point; null where none were written, undefined where it is no number. */
export function readPoints(text: string): number | null | undefined {
  const clean = text.trim().replace(',', '.');
  if (clean === '') return null;
  return /^-?\d{1,6}(\.\d{1,4})?$/.test(clean) ? Number(clean) : undefined;
}

/** The fields of how a run went, as typed. */
export const resultFields = (today: Day) =>
  v.object({
    day: v.pipe(
      v.string(),
      v.check((day) => isDay(day) && day <= today, tell('trial-form.say-on-which-day-it-was-today-or')),
    ),
    kind: v.picklist(['mock', 'trial']),
    passed: v.picklist(['yes', 'no']),
    points: v.pipe(
      v.string(),
      v.check((text) => readPoints(text) !== undefined, tell('trial-form.that-is-not-a-number-of-points')),
    ),
    note: v.pipe(v.string(), v.trim(), v.maxLength(2000, tell('trial-form.a-shorter-note-please'))),
  });
export type ResultFields = v.InferOutput<ReturnType<typeof resultFields>>;

/** What a result is taken for until somebody says else: from the day of the trial on the trial itself, before it a mock. */
export const firstResult = ({ day }: { readonly day: Day }, today: Day): ResultFields => ({
  day: day <= today ? day : today,
  kind: day <= today ? 'trial' : 'mock',
  passed: 'yes',
  points: '',
  note: '',
});
