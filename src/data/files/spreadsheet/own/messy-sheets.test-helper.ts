import type { Day } from '@/core/shared';
import type { SheetMapping, SheetRow } from '.';

type Sheet = {
  readonly name: string;
  readonly text: string;
  readonly means: Readonly<Record<string, string>>;
  /** What a person says where the sheet does not. */
  readonly settled: Partial<SheetMapping>;
  readonly rows: readonly Omit<SheetRow, 'line' | 'askedText'>[];
  readonly wrong: readonly number[];
};

const metres = (base: number) => ({ quantity: 'distance', base, unit: 'm' }) as const;
const row = (
  day: string,
  element: string,
  goes: string,
  more: Partial<SheetRow> = {},
): Sheet['rows'][number] => ({
  day: day as Day,
  dog: 'Wren',
  element,
  goes: [...goes].map((sign) => (sign === '+' ? 'clean' : sign === '~' ? 'flawed' : 'miss')),
  ordered: goes.length === 1,
  asked: null,
  latency: null,
  held: null,
  note: '',
  ...more,
});

/** Made-up sheets in the manners in which people keep them, with what they say keyed by hand. */
export const MESSY: readonly Sheet[] = [
  {
    name: 'a row a go, tidy',
    text: 'Date,Dog,Exercise,Distance (m),Result,Latency,Notes\n2026-03-01,Wren,Recall,20,clean,1.8,\n2026-03-01,Wren,Recall,20,miss,,wind\n2026-03-02,Wren,Recall,25,clean,2.1,"calm, dry"\n',
    means: {
      Date: 'day',
      Dog: 'dog',
      Exercise: 'element',
      'Distance (m)': 'asked',
      Result: 'outcome',
      Latency: 'latency',
      Notes: 'note',
    },
    settled: {},
    rows: [
      row('2026-03-01', 'Recall', '+', { asked: metres(20), latency: 1.8 }),
      row('2026-03-01', 'Recall', '-', { asked: metres(20), note: 'wind' }),
      row('2026-03-02', 'Recall', '+', { asked: metres(25), latency: 2.1, note: 'calm, dry' }),
    ],
    wrong: [],
  },
  {
    name: 'a title above, blanks for what stays, a total below, commas before fractions',
    text: 'Trainingsbuch Wren 2026;;;;;\n;;;;;\nDatum;Übung;Anzahl;sauber;Distanz;Bemerkung\n5.3.26;Apport;5;4;20 m;\n;Voraus;3;3;;nass\n6.3.26;Apport;5;2;22,5 m;müde\nSumme;;13;9;;\n',
    means: {
      Datum: 'day',
      Übung: 'element',
      Anzahl: 'goes',
      sauber: 'clean',
      Distanz: 'asked',
      Bemerkung: 'note',
    },
    settled: {},
    rows: [
      row('2026-03-05', 'Apport', '++-++', { asked: metres(20) }),
      row('2026-03-05', 'Voraus', '+++', { note: 'nass' }),
      row('2026-03-06', 'Apport', '-+-+-', { asked: metres(22.5), note: 'müde' }),
    ],
    wrong: [7],
  },
  {
    name: 'months first, yards in the cells, shares, no column for the dog',
    text: 'Day\tSkill\tRange\tHow\n3/14/26\tBlind\t60 yd\t3/4\n3/16/26\tBlind\t80 yds\t2 of 4\n',
    means: { Day: 'day', Skill: 'element', Range: 'asked', How: 'outcome' },
    settled: {},
    rows: [
      row('2026-03-14', 'Blind', '++-+', { asked: { quantity: 'distance', base: 54.864, unit: 'yd' } }),
      row('2026-03-16', 'Blind', '+-+-', { asked: { quantity: 'distance', base: 73.152, unit: 'yd' } }),
    ],
    wrong: [],
  },
  {
    name: 'signs in a row, seconds held, names of months',
    text: 'When|Exercise|Result|Duration (s)\n5 Mar 2026|Down stay|++-|30\n7 Mar 2026|Down stay|+~|45\n',
    means: { When: 'day', Exercise: 'element', Result: 'outcome', 'Duration (s)': 'asked' },
    settled: {},
    rows: [
      row('2026-03-05', 'Down stay', '++-', {
        ordered: true,
        asked: { quantity: 'duration', base: 30, unit: 's' },
      }),
      row('2026-03-07', 'Down stay', '+~', {
        ordered: true,
        asked: { quantity: 'duration', base: 45, unit: 's' },
      }),
    ],
    wrong: [],
  },
  {
    name: 'crosses that only the person can tell, and words of their own',
    text: 'Date,Dog,Exercise,Result\n1.3.26,Wren,Sit,x\n1.3.26,Wren,Sit,o\n2.3.26,Wren,Sit,lovely\n2.3.26,Wren,Sit,rain\n',
    means: { Date: 'day', Dog: 'dog', Exercise: 'element', Result: 'outcome' },
    settled: { outcomes: { x: 'clean', o: 'miss', lovely: 'clean', rain: 'skip' } },
    rows: [row('2026-03-01', 'Sit', '+'), row('2026-03-01', 'Sit', '-'), row('2026-03-02', 'Sit', '+')],
    wrong: [],
  },
];
