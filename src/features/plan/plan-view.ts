import { buildLadder, describePlace } from '@/core/breakdown';
import {
  LOADS,
  type Load,
  mostOf,
  openBook,
  type PlannedBout,
  trialPieces,
  type WeeksPlan,
} from '@/core/planning';
import { addDays, type Day, type DogId, type ElementId, type SlotId } from '@/core/shared';
import {
  asPlanned,
  dayAsSaid,
  exerciseTitle,
  minutesOn,
  type Planning,
  type SlotState,
  type Usual,
  weekOf,
  wholeId,
} from '@/data/read';
import { weekStart, wordsOf, writeDay, writeWeekday } from '@/words';
import { loadWords, whyInWords } from './plan-words';
import { tell } from './words';

/** One planned bout as it is drawn. `slot` is null while a plan is only proposed. */
export type Block = {
  readonly key: string;
  readonly slot: SlotId | null;
  readonly bout: PlannedBout;
  readonly dogName: string;
  readonly title: string;
  readonly state: SlotState;
  readonly step: string;
  readonly kit: string;
  readonly why: string | null;
};
export type DayRow = {
  readonly day: Day;
  readonly name: string;
  readonly minutes: number;
  /** Minutes that are planned, warm-ups counted. */
  readonly used: number;
  readonly place: string;
  readonly flags: readonly string[];
  readonly blocks: readonly Block[];
};
export type WeekStrip = {
  readonly from: Day;
  readonly name: string;
  readonly days: readonly DayRow[];
  readonly minutes: number;
  readonly used: number;
  readonly loads: readonly LoadRow[];
};
/** A load of a dog in a week against what it may be; `share` of it, 1 and more where it is full. */
export type LoadRow = { readonly key: string; readonly words: string; readonly share: number | null };

/** What a piece is called: an element, or an exercise that is run whole. */
export function titlesOf(planning: Planning): ReadonlyMap<ElementId, string> {
  const found = new Map<ElementId, string>();
  for (const work of planning.works.values()) {
    for (const element of work.elements) found.set(element.id, element.title);
    for (const one of work.breakdowns) found.set(wholeId(one.id), exerciseTitle(one, work));
  }
  return found;
}

/** What is drawn: the plan that was taken, or where there is none the one that is proposed. */
export function blocksOf(planning: Planning, proposed: WeeksPlan | null): Block[] {
  const records = [...planning.works.values()].flatMap((work) => work.elements);
  const titles = titlesOf(planning);
  const names = new Map(planning.dogs.map((dog) => [dog.id, dog.name]));
  const inTrial = trialPieces(planning.question.dogs.flatMap((one) => one.aims));
  const block = (bout: PlannedBout, slot: SlotId | null, state: SlotState, at: PlannedBout['why']): Block => {
    const element = records.find((one) => one.id === bout.piece);
    const criteria = element && buildLadder(element).rungs[bout.rung]?.criteria;
    return {
      key: slot ?? `${bout.day} ${bout.piece}`,
      slot,
      bout,
      dogName: names.get(bout.dog) ?? '',
      title: titles.get(bout.piece) ?? tell('plan-view.gone'),
      state,
      kit: element?.kit.join(', ') ?? '',
      step: element && criteria ? wordsOf(describePlace(buildLadder(element), criteria)) : '',
      why: whyInWords(at, inTrial.has(bout.piece)),
    };
  };
  if (planning.slots.some((one) => one.slot.day >= planning.question.frame.today) || !proposed)
    return planning.slots.map(({ slot, state }) => block(asPlanned(slot, records), slot.id, state, slot.why));
  return [
    ...planning.slots.map(({ slot, state }) => block(asPlanned(slot, records), slot.id, state, slot.why)),
    ...proposed.bouts.map((bout) => block(bout, null, 'ahead', bout.why)),
  ];
}

/** The weeks from this one to the end of the plan, each from the day on which this person's begin. */
export function weeksOf(planning: Planning, usuals: readonly Usual[], blocks: readonly Block[]): WeekStrip[] {
  const { frame } = planning.question;
  const first = weekOf(frame.today, weekStart());
  const book = openBook(frame);
  for (const one of blocks) if (one.state === 'ahead' && one.bout.day >= frame.today) book.enter(one.bout);
  const weeks: WeekStrip[] = [];
  for (let from = first; from <= planning.until; from = addDays(from, 7)) {
    const all = Array.from({ length: 7 }, (_, i) => dayRow(addDays(from, i)));
    // Of days that are past only what was planned is left to see.
    const days = all.filter(
      (one) => one.blocks.length > 0 || (one.day >= frame.today && (one.minutes > 0 || one.flags.length > 0)),
    );
    weeks.push({
      from,
      name: tell('plan-view.week', { from: writeWeekday(from), to: writeWeekday(addDays(from, 6)) }),
      days,
      minutes: days.reduce((sum, one) => sum + one.minutes, 0),
      used: days.reduce((sum, one) => sum + one.used, 0),
      loads: loadsIn(from),
    });
  }
  return weeks;

  function dayRow(day: Day): DayRow {
    const said = dayAsSaid(usuals, day);
    const minutes = minutesOn(
      usuals,
      day,
      planning.trials.map((one) => one.day),
    );
    const own = blocks.filter((one) => one.bout.day === day);
    const places = [
      ...(said.where && (minutes > 0 || said.on.kind === 'day') ? [said.where] : []),
      ...(minutes > 0 && said.strange ? [tell('plan-view.strange')] : []),
      ...(minutes > 0 && said.helper ? [tell('plan-view.helper')] : []),
      ...(said.hot ? [tell('plan-view.hot')] : []),
    ];
    return {
      day,
      name: writeWeekday(day),
      minutes,
      used: day < frame.today ? own.reduce((sum, one) => sum + one.bout.minutes, 0) : book.minutesOn(day),
      place: places.join(' · '),
      flags: flagsOn(planning, day),
      blocks: own,
    };
  }

  /** What the week comes to for each dog, what was done in it already counted. */
  function loadsIn(from: Day): LoadRow[] {
    return frame.dogs.flatMap((dog) =>
      LOADS.flatMap((of): LoadRow[] => {
        let sum = 0;
        for (let i = 0; i < 7; i++) sum += book.loadOn(dog, addDays(from, i), of);
        const most = mostOf(dog, of, 'week', 0);
        const own = dog.limits.some((one) => one.of === of && one.per === 'week');
        if (sum === 0) return [];
        return [
          {
            key: `${dog.id} ${of}`,
            words: loadInWords(planning, dog.id, of, sum, most, own),
            share: Number.isFinite(most) && most > 0 ? sum / most : null,
          },
        ];
      }),
    );
  }
}

function loadInWords(
  planning: Planning,
  dog: DogId,
  of: Load,
  sum: number,
  most: number,
  own: boolean,
): string {
  const name = planning.dogs.length > 1 ? (planning.dogs.find((one) => one.id === dog)?.name ?? '') : '';
  return tell('plan-view.load', {
    name: name === '' ? '' : `${name}: `,
    amount: loadWords(of, sum),
    most: Number.isFinite(most) ? String(Math.round(most)) : '',
    whose: Number.isFinite(most) ? (own ? 'yours' : most > 0 ? 'heaviest' : 'first') : 'none',
  });
}

/** Trials, closing dates and the end of an enforced rest stand as flags at their day. */
function flagsOn({ trials, dogs }: Planning, day: Day): string[] {
  const name = (id: DogId): string => dogs.find((one) => one.id === id)?.name ?? '';
  return [
    ...trials.flatMap((one) =>
      one.day === day ? [tell('plan-view.flag-trial', { title: one.title, name: name(one.dogId) })] : [],
    ),
    ...trials.flatMap((one) =>
      one.entryCloses === day ? [tell('plan-view.flag-closes', { title: one.title })] : [],
    ),
    ...dogs.flatMap((one) =>
      one.offWork?.until === day ? [tell('plan-view.flag-vet', { name: one.name })] : [],
    ),
  ];
}

/** A piece through the weeks: how often in each, and what is due. */
export type PieceRow = {
  readonly id: ElementId;
  readonly dog: DogId;
  readonly title: string;
  readonly counts: readonly number[];
  readonly words: string;
  /** Due before it is planned again, or never worked and not planned: it stands first. */
  readonly neglected: boolean;
};

/** What is kept and what is neglected, neglected first. */
export function pieceRows(
  planning: Planning,
  plan: WeeksPlan | null,
  weeks: readonly WeekStrip[],
): PieceRow[] {
  const { frame } = planning.question;
  const titles = titlesOf(planning);
  const due = new Map(plan?.due ?? []);
  const blocks = weeks.flatMap((week) => week.days.flatMap((day) => day.blocks));
  const rows = frame.pieces
    .filter((piece) => piece.links.length === 0)
    .map((piece): PieceRow => {
      const own = blocks.filter((one) => one.bout.piece === piece.id && one.state !== 'skipped');
      const next = own.find((one) => one.state === 'ahead')?.bout.day ?? null;
      const last = piece.worked.at(-1) ?? null;
      const dueOn = due.get(piece.id) ?? null;
      const neglected =
        (dueOn !== null && (next === null || next > dueOn)) || (last === null && next === null);
      return {
        id: piece.id,
        dog: piece.dog,
        title: titles.get(piece.id) ?? '',
        counts: weeks.map(
          (week) =>
            own.filter((one) => one.bout.day >= week.from && one.bout.day <= addDays(week.from, 6)).length,
        ),
        words: tell('plan-view.piece', {
          last: last === null ? 'never' : writeDay(last),
          worked: last === null ? 'never' : 'yes',
          due: dueOn === null ? '' : writeDay(dueOn),
          isDue: dueOn === null ? 'no' : dueOn <= frame.today ? 'now' : 'later',
          planned: next === null ? 'no' : 'yes',
        }),
        neglected,
      };
    });
  return [...rows].sort((a, b) => Number(b.neglected) - Number(a.neglected));
}
