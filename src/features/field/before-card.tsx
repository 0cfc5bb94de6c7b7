import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { buildLadder, type Criteria, describePlace, placeOn, standingOn } from '@/core/breakdown';
import { fewestToTop } from '@/core/coaching';
import { asId, parseOne, type Result, type Sentence } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  cautionsOf,
  type DatedBout,
  type DogWork,
  daysUsed,
  type ElementRecord,
  type EvidenceByElement,
  gapOf,
  isOffWork,
  isWhole,
  type OtherWork,
  probeStart,
  type Slot,
  signsAgainst,
  startToday,
} from '@/data/read';
import { record, startBout } from '@/data/write';
import { Button, buttonClass, Sheet, SIGN_WORDS, SignNote, TextField } from '@/ui';
import { numberCustom, wordsOf, writeDay } from '@/words';
import {
  Bring,
  Condition,
  FixedRuns,
  ItsWord,
  Links,
  Missing,
  NumberedArticles,
  SetOut,
} from './before-fields';
import { GapNote, OffWork, Waits } from './before-notes';
import { isHandler } from './chips';
import { Debrief } from './debrief';
import type { LaidHere } from './laid-out-card';
import { tell } from './later-words';
import { TickedCautions } from './ticked-cautions';

type Props = {
  readonly element: ElementRecord;
  readonly work: DogWork;
  readonly evidence: EvidenceByElement;
  /** Where the last bout left the dog; null before any. */
  readonly stands: Criteria | null;
  /** What has to stand first, and does not yet. */
  readonly waits: readonly Sentence[];
  readonly last: DatedBout | null;
  /** What was done outside the log, and what is planned of it today; null where nothing is. */
  readonly other: readonly OtherWork[];
  readonly planned: Slot | null;
  /** The place that was said for today is a strange one. */
  readonly strange: boolean;
};

/**
 * The card before a session: rung, place, what to bring, what to be careful of. Everything changes
 * in one tap, and nothing has to.
 */
export function BeforeCard(props: Props) {
  const { element, work, evidence, stands, waits, last, other, planned, strange } = props;
  const { kennel, dog, today, done } = useKennelWithDog();
  const ladder = buildLadder(element);
  const mine = evidence.get(element.id) ?? [];
  const gap = gapOf(mine, dog, today, daysUsed(other, element.id));
  const probe = probeStart(element, stands, gap);
  const standing = signsAgainst(element.id, [...evidence.values()].flat(), today);
  const seen = mine.at(-1)?.signs ?? [];
  const off = isOffWork(dog, today);
  const usual = startToday(element, stands, last?.day === today, gap);
  // After a long gap nobody knows what is left, whatever was planned.
  const [start, setStart] = useState(() => (planned && !gap.long && !isWhole(element) ? planned.at : usual));
  const on = placeOn(ladder, start);
  const easier = ladder.rungs[on.kind === 'between' ? on.rung : on.rung - 1]?.criteria;
  const harder = ladder.rungs[on.kind === 'below' ? on.rung : on.rung + 1]?.criteria;
  const toTop = fewestToTop(element.policy.rule, ladder.rungs.length, on.rung);
  const [away, setAway] = useState(strange);
  const [conditions, setConditions] = useState<Readonly<Record<string, string>>>({});
  const [weather, setWeather] = useState({ helper: '', temperature: '' });
  const [runsFixed, setRunsFixed] = useState<number | null>(null);
  const [laid, setLaid] = useState<LaidHere>(null);
  const temperature = readTemperature(weather.temperature);
  const cautions = cautionsOf(element, dog, evidence, work, today, {
    surface: surfaceOf(conditions),
    temperature: temperature.ok ? temperature.value : null,
  });
  const begin = async (from: Criteria | null): Promise<void> => {
    if (!temperature.ok) return;
    // A look at what survived is held against where the dog stood; it begins low.
    const begun = await startBout(kennel, element, {
      day: today,
      away,
      start: from ? standingOn(ladder, stands).criteria : start,
      conditions,
      helpers: weather.helper.trim(),
      temperature: temperature.value,
      runsFixed,
      setOut: laid,
    });
    if (!begun.ok || !from) return void done(null, Promise.resolve(begun));
    void done(null, record(kennel, begun.value.made, { kind: 'move', to: from, because: 'probe' }));
  };
  const place = (value: boolean, words: string) => (
    <Button
      size="big"
      look={away === value ? 'ink' : 'plain'}
      aria-pressed={away === value}
      onClick={() => setAway(value)}
    >
      {words}
    </Button>
  );
  return (
    <Sheet
      title={`${dog.name}: ${element.title}`}
      page={element.title}
      className="mx-auto max-w-2xl"
      label={tell('before-card.before-the-session')}
    >
      <div className="grid gap-4">
        {last?.debrief?.next && (
          <p className="border-l-[6px] border-signal bg-paper px-3 py-2 text-xl leading-snug">
            <span className="font-semibold">{tell('before-card.you-wrote')} </span>
            {last.debrief.next}
          </p>
        )}
        {planned && (
          <p className="text-lg font-semibold leading-snug">
            {tell('before-card.planned', {
              purpose: planned.purpose,
              goes: planned.goes,
              sets: planned.sets,
              minutes: planned.minutes,
            })}
          </p>
        )}
        {off && <OffWork dog={dog} />}
        {waits.length > 0 && <Waits element={element} waits={waits} />}
        {standing.map(({ id, day, reason, bout }) => (
          <SignNote
            key={id}
            words={`${writeDay(day)}: ${wordsOf(reason)}`}
            onDismiss={(why) =>
              void done(
                tell('before-card.it-no-longer-holds'),
                record(kennel, bout, { kind: 'sign-over', of: asId(id), why }),
              )
            }
          />
        ))}
        {seen.length > 0 && standing.length === 0 && (
          <p className="leading-snug">
            <span className="font-semibold">{tell('before-card.seen-last-time')} </span>
            {seen.map(({ sign }) => SIGN_WORDS[sign].toLowerCase()).join(', ')}.
          </p>
        )}
        {(mine.at(-1)?.notes ?? []).map((note) => (
          <p key={note} className="leading-snug">
            <span className="font-semibold">{tell('before-card.noted-last-time')} </span>
            {note}
          </p>
        ))}
        <GapNote element={element} gap={gap} />
        {probe && !off && standing.length === 0 && (
          <Button look="ink" size="big" onClick={() => void begin(probe)}>
            {tell('before-card.see-what-is-left-at-most-five-easy')}
          </Button>
        )}
        {isWhole(element) ? (
          <Links element={element} work={work} />
        ) : (
          <div>
            <p className="text-lg font-semibold">
              {tell('before-card.rung', { describePlace: describePlace(ladder, start) })}
            </p>
            {toTop !== null && toTop > 0 && (
              <p className="leading-snug text-ink-soft">{tell('before-card.fewest-to-the-top', { toTop })}</p>
            )}
            <div className="mt-2 grid grid-cols-2 gap-2">
              <Button size="big" disabled={!easier} onClick={() => easier && setStart(easier)}>
                {tell('before-card.one-easier')}
              </Button>
              <Button size="big" disabled={!harder} onClick={() => harder && setStart(harder)}>
                {tell('before-card.one-harder')}
              </Button>
            </div>
          </div>
        )}
        {!isWhole(element) && <SetOut element={element} criteria={start} />}
        {!isWhole(element) && (
          <Suspense fallback={null}>
            <LaidOutCard element={element} criteria={start} onFit={setLaid} />
          </Suspense>
        )}
        <fieldset>
          <legend className="mb-1 font-semibold">{tell('before-card.place')}</legend>
          <div className="grid grid-cols-2 gap-2">
            {place(false, tell('before-card.usual-place'))}
            {place(true, tell('before-card.away'))}
          </div>
        </fieldset>
        {element.conditions.filter(isSetUp).map((condition) => (
          <Condition
            key={condition.title}
            condition={condition}
            chosen={conditions[condition.title] ?? null}
            onChoose={(option) =>
              setConditions(
                option === null
                  ? without(conditions, condition.title)
                  : { ...conditions, [condition.title]: option },
              )
            }
          />
        ))}
        <NumberedArticles element={element} />
        {element.articles && <FixedRuns value={runsFixed} onChange={setRunsFixed} />}
        <Bring element={element} rewards={dog.rewards} />
        <TickedCautions cautions={cautions} />
        {!off && standing.length === 0 && (
          <Button
            look="signal"
            size="huge"
            data-main
            className="max-md:sticky max-md:bottom-[4.25rem] max-md:z-10"
            onClick={() => void begin(null)}
          >
            {tell('before-card.begin')}
          </Button>
        )}
        {!off && standing.length > 0 && (
          <p className="text-lg font-semibold leading-snug">
            {tell('before-card.nothing-begins-while-that-stands')}
          </p>
        )}
        <details>
          <summary className="min-h-14 cursor-pointer py-3.5 underline decoration-rule underline-offset-4">
            {tell('before-card.who-helps-how-warm')}
          </summary>
          <div className="grid gap-3 sm:grid-cols-2">
            {!isWhole(element) && <ItsWord element={element} />}
            <TextField
              label={tell('before-card.who-helps')}
              value={weather.helper}
              maxLength={80}
              onChange={(event) => setWeather({ ...weather, helper: event.target.value })}
            />
            <TextField
              label={tell('before-card.temperature')}
              hint={tell('before-card.for-example-18-c-or-65-f')}
              value={weather.temperature}
              problem={temperature.ok ? undefined : wordsOf(temperature.message)}
              onChange={(event) => setWeather({ ...weather, temperature: event.target.value })}
            />
          </div>
        </details>
        {last && (
          <Link className={buttonClass('quiet', 'big')} to="log">
            {tell('before-card.every-rep-so-far')}
          </Link>
        )}
        {last && last.endedAt !== null && <Debrief key={last.id} bout={last} />}
        <Missing />
      </div>
    </Sheet>
  );
}

const LaidOutCard = lazy(async () => ({ default: (await import('./laid-out-card')).LaidOutCard }));

const without = (conditions: Readonly<Record<string, string>>, title: string): Record<string, string> =>
  Object.fromEntries(Object.entries(conditions).filter(([key]) => key !== title));

const surfaceOf = (conditions: Readonly<Record<string, string>>): string | null =>
  Object.entries(conditions).find(([title]) => /surface|ground/i.test(title))?.[1] ?? null;

function readTemperature(text: string): Result<number | null> {
  return text.trim() === '' ? { ok: true, value: null } : parseOne(text, 'temperature', '°C', numberCustom());
}

/** Whether it is set up before the go: what is drawn or seen in it is said on the pad. */
const isSetUp = (condition: ElementRecord['conditions'][number]): boolean =>
  condition.drawn !== true && condition.seen !== true && !isHandler(condition);
