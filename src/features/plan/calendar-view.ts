import type { CalendarEvent } from '@/data/files';
import type { Planning } from '@/data/read';
import type { WeekStrip } from './plan-view';
import { PURPOSE_WORDS } from './plan-words';
import { tell } from './words';

/**
 * What goes into a calendar: one lesson a day for each dog, trials, closing dates, and the day until which a
 * dog is off work. A day without a lesson says so, so that one which was moved away is taken off.
 */
export function calendarEvents(planning: Planning, weeks: readonly WeekStrip[]): CalendarEvent[] {
  const { today } = planning.question.frame;
  const days = weeks.flatMap((week) => week.days);
  const lessons = planning.dogs.flatMap((dog) =>
    planning.question.frame.days.map(({ day }): CalendarEvent => {
      const blocks = (days.find((one) => one.day === day)?.blocks ?? []).filter(
        (one) => one.bout.dog === dog.id && one.slot !== null && one.state === 'ahead',
      );
      const minutes = blocks.reduce((sum, one) => sum + one.bout.minutes, 0);
      return {
        uid: `lesson-${dog.id}-${day}`,
        day,
        title: tell('calendar-view.lesson', { name: dog.name, minutes }),
        text: blocks
          .map(({ title, step, bout }) =>
            [
              title,
              PURPOSE_WORDS[bout.purpose],
              step,
              tell('calendar-view.goes', { goes: bout.goes, minutes: bout.minutes }),
            ]
              .filter((one) => one !== '')
              .join(', '),
          )
          .join('\n'),
        cancelled: blocks.length === 0,
      };
    }),
  );
  const name = (id: string): string => planning.dogs.find((one) => one.id === id)?.name ?? '';
  const trials = planning.trials.flatMap((trial): CalendarEvent[] => [
    {
      uid: `trial-${trial.id}`,
      day: trial.day,
      title: tell('calendar-view.trial', { title: trial.title, name: name(trial.dogId) }),
      text: '',
      cancelled: false,
    },
    ...(trial.entryCloses !== null && trial.entryCloses >= today
      ? [
          {
            uid: `closes-${trial.id}`,
            day: trial.entryCloses,
            title: tell('calendar-view.closes', { title: trial.title, name: name(trial.dogId) }),
            text: '',
            cancelled: false,
          },
        ]
      : []),
  ]);
  const vets = planning.dogs.flatMap((dog): CalendarEvent[] =>
    dog.offWork?.until && dog.offWork.until >= today
      ? [
          {
            uid: `vet-${dog.id}`,
            day: dog.offWork.until,
            title: tell('calendar-view.vet', { name: dog.name }),
            text: [dog.offWork.why, dog.offWork.vet].filter((one) => one !== '').join('. '),
            cancelled: false,
          },
        ]
      : [],
  );
  return [...lessons, ...trials, ...vets];
}
