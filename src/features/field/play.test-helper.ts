import { axisFrom, type Criteria, METHODS, parseValue } from '@/core/breakdown';
import type { CallKind, Stage, Timing } from '@/core/coaching';
import { type Studied, studyElement, wordReach } from '@/core/evidence';
import { type Aid, type Entry, foldLog, plainRep, type Said } from '@/core/log';
import {
  addDays,
  asId,
  type BoutId,
  type Day,
  type DeviceId,
  type DogId,
  type ElementId,
  type EntryId,
  type FaultKey,
  must,
  type OutingId,
} from '@/core/shared';
import {
  type DatedBout,
  type DogWork,
  type ElementRecord,
  elementFromMethod,
  evidenceByElement,
  type KeptEvidence,
  studyQuestion,
} from '@/data/read';
import { factsOf } from '@/data/read/coach-facts';
import { boutOn } from '@/data/read/whole';
import { keptOf } from '@/data/records/kept-evidence';
import type { SetItem } from '@/data/write';
import { wordsOf } from '@/words';
import { adviceLines } from './advice-lines';
import { confusedIn, nextCall } from './calls';
import type { InHand } from './in-hand';
import type { Grade } from './judged-by';
import { padView } from './pad-view';
import { type Tap, tapped } from './tap';

export const FIRST_DAY = '2026-03-02' as Day;
const DOG = asId<DogId>('dog');

/** An element of a ready method, with a person's answers where it asks: `{ time: ['1 s', '10 s'] }`. */
export function fromMethod(
  method: string,
  key: string,
  answers: Readonly<Record<string, readonly [start: string, demand: string]>> = {},
  change: Partial<ElementRecord> = {},
): ElementRecord {
  const found = METHODS.find((one) => one.id === method);
  const element = found?.elements.find((one) => one.key === key);
  if (!found || !element) throw new Error(`no ${method}/${key}`);
  const axes = element.axes.map((axis) => {
    const said = answers[axis.axis.key];
    const read = (text: string | undefined): number | null =>
      text === undefined ? null : must(parseValue(axis.axis, text));
    const step = axis.step ?? (axis.axis.quantity === 'angle' ? 5 : 0.05);
    return must(axisFrom(axis, { start: read(said?.[0]), demand: read(said?.[1]), step }));
  });
  const record = elementFromMethod(asId<ElementId>(key), DOG, found, element, axes);
  return { ...record, changed: { at: 0, by: asId<DeviceId>('test'), seen: {} }, ...change };
}

/** A lesson played tap by tap through the functions of the pad; what it concludes is read off it. */
export class Play {
  private entries: Entry[] = [];
  private readonly past: { readonly bout: DatedBout; readonly entries: readonly Entry[] }[] = [];
  private bout: DatedBout;
  private chips: Record<string, string> = {};
  private hand: Omit<InHand, 'now' | 'call' | 'asks'> = NOTHING;
  private aids: readonly Aid[] = [];
  private caller: CallKind | null = null;
  private clock = 0;
  /** Taps of the thumb so far. */
  taps = 0;
  /** What the pad refused, in its own words. */
  refused: string | null = null;

  constructor(
    readonly element: ElementRecord,
    private readonly options: {
      readonly work?: DogWork;
      readonly start?: Criteria;
      readonly words?: readonly string[];
      readonly away?: boolean;
      /** Where the dog stands on each link of an exercise that is run whole. */
      readonly stands?: ReadonlyMap<ElementId, Criteria>;
    } = {},
    private day: Day = FIRST_DAY,
  ) {
    this.bout = this.newBout(options.start ?? {});
  }

  private newBout(start: Criteria): DatedBout {
    const startedAt = Date.parse(`${this.day}T10:00:00Z`);
    return {
      id: asId<BoutId>(`bout ${this.day}`),
      outingId: asId<OutingId>(`outing ${this.day}`),
      dogId: DOG,
      on: boutOn(this.element),
      startedAt,
      endedAt: null,
      start,
      away: this.options.away ?? false,
      conditions: {},
      handler: null,
      runsFixed: null,
      setOut: null,
      slot: null,
      debrief: null,
      changed: { at: 0, by: asId<DeviceId>('test'), seen: {} },
      day: this.day,
      helpers: '',
      temperature: null,
    } as DatedBout;
  }

  get work(): DogWork {
    return this.options.work ?? { elements: [this.element], breakdowns: [], ruleBooks: [] };
  }

  get view() {
    const days = [...this.past.map((one) => one.bout.day), this.day];
    const facts = factsOf(this.element, this.bout, days);
    const words = this.options.words ?? [];
    return padView(this.element, this.work, this.bout, this.entries, facts, {
      chips: this.chips,
      words,
      seen: this.past.flatMap(
        (one) => keptOf(one.bout, { day: one.bout.day }, one.entries)[0].evidence.faults,
      ),
      ...(this.options.stands ? { stands: this.options.stands } : {}),
    });
  }

  private called() {
    if (this.caller === null) return null;
    const view = this.view;
    const next = nextCall({
      kind: this.caller,
      bout: this.bout.id,
      repCount: view.repCount,
      words: this.options.words ?? [],
      longest: view.hold,
      confused: confusedIn(view.reps),
      reach: this.reach(view),
    });
    return next.ok ? next.value : null;
  }

  private reach(view: Play['view']) {
    const axis = this.element.axes.find((one) => one.quantity === 'distance');
    if (!axis) return null;
    const bouts = this.evidence.get(this.element.id) ?? [];
    return { axis, words: wordReach(bouts, axis), asked: view.criteria[axis.key] ?? axis.start };
  }

  /** What is called for the next rep. */
  get call() {
    return this.called()?.call ?? null;
  }

  private write(said: Said): void {
    const seq = this.entries.length;
    this.entries.push({
      ...said,
      id: asId<EntryId>(`${this.day} ${seq}`),
      boutId: this.bout.id,
      dogId: DOG,
      seq,
      by: asId<DeviceId>('test'),
      at: this.bout.startedAt + seq * 20_000,
      timed: true,
    });
  }

  /** One tap. A fault that has to be chosen is a tap of its own. */
  tap(tap: Tap): this {
    this.taps += 1;
    const hand: InHand = {
      ...this.hand,
      aids: this.aids,
      now: this.clock,
      call: this.call,
      asks: this.called()?.asks ?? {},
    };
    const found = tapped(this.view, hand, tap);
    this.refused = found.ok ? null : wordsOf(found.message);
    if (!found.ok || 'choose' in found) return this;
    this.write(found.said);
    if (found.said.kind === 'rep') {
      this.chips = {};
      this.hand = NOTHING;
    }
    return this;
  }

  clean(times = 1): this {
    for (let i = 0; i < times; i++) this.tap({ tap: 'clean' });
    return this;
  }

  /** Flawed or missed with the fault of this name. */
  fault(label: string): this {
    const fault = [...this.view.flaws, ...this.view.misses].find((one) => one.label === label);
    if (!fault) throw new Error(`no fault ${label}: ${this.view.flaws.map((one) => one.label).join()}`);
    this.tap({ tap: fault.miss ? 'miss' : 'flawed' });
    const [last] = this.entries.slice(-1);
    const logged = fault.miss && last?.kind === 'rep' && this.view.misses.length <= 1;
    return logged ? this : this.tap({ tap: 'fault', of: fault.miss ? 'miss' : 'flawed', fault });
  }

  /** A further fault of the rep just logged. */
  also(label: string): this {
    const fault = this.view.flaws.find((one) => one.label === label);
    if (!fault) throw new Error(`no fault ${label}`);
    return this.tap({ tap: 'also', fault: fault.ref });
  }

  timed(timing: Timing): this {
    return this.tap({ tap: 'timed', timing });
  }

  /** The steps of the response scale that the pad shows, worst first. */
  get grades(): readonly Grade[] {
    return this.view.by.kind === 'graded' ? this.view.by.grades : [];
  }

  /** The stage in which a new cue takes over; null elsewhere. */
  get stage(): Stage | null {
    return this.view.by.kind === 'timed' ? this.view.by.stage : null;
  }

  graded(name: string | null): this {
    const grade = this.grades.find((one) => one.name === name);
    if (name !== null && !grade) throw new Error(`no grade ${name}`);
    return this.tap({ tap: 'graded', grade: grade?.id ?? null });
  }

  /** Stamps the cue and, so many seconds later, the answer. */
  answers(seconds: number): this {
    this.taps += 2;
    this.hand = { ...this.hand, cueAt: this.clock, responseAt: this.clock + seconds * 1000 };
    this.clock += seconds * 1000;
    return this;
  }

  /** Begins the clock of a hold and stops it. */
  holds(seconds: number): this {
    this.taps += 2;
    this.hand = { ...this.hand, hold: { from: this.clock, to: this.clock + seconds * 1000 } };
    this.clock += seconds * 1000;
    return this;
  }

  /** Starts the clock of a whole run and presses each link as it is done, so many seconds after the one before. */
  presses(...seconds: readonly number[]): this {
    this.taps += 1 + seconds.length;
    const from = this.clock;
    const at = seconds.map(
      (_, i) => from + seconds.slice(0, i + 1).reduce((sum, one) => sum + one * 1000, 0),
    );
    this.hand = { ...this.hand, splits: { from, at } };
    this.clock = at.at(-1) ?? from;
    return this;
  }

  /** Logs a set from memory, in its order. */
  set(items: readonly SetItem[]): this {
    for (const item of items)
      this.write(item.kind === 'sign' ? item : { kind: 'rep', ...plainRep(this.view.criteria, item.judged) });
    return this;
  }

  chip(key: string, value: string): this {
    this.taps += 1;
    this.chips = { ...this.chips, [key]: value };
    return this;
  }

  loses(...lost: readonly FaultKey[]): this {
    this.hand = { ...this.hand, lost };
    return this;
  }

  help(...aids: readonly Aid[]): this {
    this.taps += 1;
    this.aids = aids;
    return this;
  }

  calls(kind: CallKind | null): this {
    this.caller = kind;
    return this;
  }

  undo(): this {
    const target = foldLog(this.bout.start, this.entries).undoTarget;
    if (target) this.write({ kind: 'undo', of: target.id });
    this.taps += 1;
    return this;
  }

  /** Takes the step that is advised. */
  take(): this {
    const advised = this.view.advice.find((one) => 'to' in one);
    const there = advised && 'to' in advised ? this.view.ladder.rungs[advised.to]?.criteria : undefined;
    if (!there) throw new Error(`nothing to take: ${this.says}`);
    return this.tap({ tap: 'move', to: there, because: 'advice' });
  }

  /** Ends, and begins again so many days later where it stood. */
  after(days: number): this {
    this.past.push({ bout: { ...this.bout, endedAt: this.bout.startedAt + 1 }, entries: this.entries });
    const { stands } = foldLog(this.bout.start, this.entries);
    this.day = addDays(this.day, days);
    this.entries = [];
    this.bout = this.newBout(stands);
    this.chips = {};
    return this;
  }

  get today(): Day {
    return this.day;
  }

  /** Every line of advice that the pad shows, in its order. */
  get says(): string {
    const { signs, main, end, rest } = adviceLines(this.view.advice);
    return [...signs, main, end, rest]
      .filter((one) => one !== null)
      .map((one) => `${one.kind}: ${wordsOf(one.reason)}`)
      .join('\n')
      .replaceAll('\u00a0', ' ');
  }

  get kept(): KeptEvidence[] {
    return [...this.past, { bout: this.bout, entries: this.entries }].flatMap(({ bout, entries }) =>
      keptOf(bout, { day: bout.day }, entries).map((one) => one.evidence),
    );
  }

  get evidence() {
    return evidenceByElement(this.kept, this.work.elements);
  }

  /** Counted reps and clean ones of this element, over all its bouts. */
  get counts(): { readonly counted: number; readonly clean: number } {
    const cells = (this.evidence.get(this.element.id) ?? []).flatMap((bout) => bout.cells);
    const clean = cells.reduce((sum, cell) => sum + cell.clean, 0);
    return { counted: clean + cells.reduce((sum, cell) => sum + cell.notClean, 0), clean };
  }

  get studied(): Studied {
    const { stands } = foldLog(this.bout.start, this.entries);
    const question = studyQuestion(
      this.element,
      this.work,
      this.evidence,
      new Map([[this.element.id, stands]]),
    );
    return must(studyElement(question, this.day));
  }
}

const NOTHING: Omit<InHand, 'now' | 'call' | 'asks'> = {
  cueAt: null,
  responseAt: null,
  markerAt: null,
  hold: { from: null, to: null },
  splits: { from: null, at: [] },
  aids: [],
  lost: [],
};
