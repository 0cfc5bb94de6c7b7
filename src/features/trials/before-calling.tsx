import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { BodySign } from '@/core/coaching';
import { cautionsFor } from '@/core/planning';
import { callsOf, drawMaterial, foldSheet, jumpsIn, type Script, stepsFor } from '@/core/trials';
import { runText } from '@/data/files';
import { useKennel } from '@/data/live';
import type { BearingRecord, TrialSafety } from '@/data/read';
import { beginCalling, signSeenAtRun } from '@/data/write';
import { Button, buttonClass, CautionNote, Notice, Sheet, SIGN_WORDS, saveText } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { Bearing, type Told } from './bearing';
import { usePen } from './pen';
import type { RunState } from './run-state';
import { ScriptEditor } from './script-editor';
import { SignsAndStop } from './signs-and-stop';
import { speechIsThere, useStewardVoice, vibrationIsThere } from './voice';
import { tell } from './words';

const Codes = lazy(async () => ({ default: (await import('./codes')).Codes }));

type Props = {
  readonly state: RunState;
  readonly script: Script;
  readonly bearing: BearingRecord | null;
  readonly safety: TrialSafety | null;
};

/** Before anything is drawn: what speaks against it, what this dog does not meet, how it is called, and by whom. */
export function BeforeCalling({ state, script, bearing, safety }: Props) {
  const { run, book } = state;
  const told = { calmAtShots: bearing?.calmAtShots ?? null, mayBite: bearing?.mayBite ?? null };
  const against = safety ? refusals(safety) : [];
  const { withheld } = stepsFor(script, told);
  return (
    <div className="grid gap-5">
      {against.length > 0 ? (
        <Against against={against} />
      ) : (
        <Begin state={state} script={script} told={told} />
      )}
      {run.dogId !== null && against.length === 0 && <HandlersScreen state={state} />}
      {safety && <Cautions state={state} safety={safety} />}
      {run.dogId !== null && <Bearing state={state} told={told} withheld={withheld.length} />}
      <ScriptEditor key={book.id} book={book} script={script} />
    </div>
  );
}

/** While a helper calls from another device: signs and stop stay on the handler’s own screen. */
function HandlersScreen({ state: { run, book, marks } }: { readonly state: RunState }) {
  const { kennel, today } = useKennel();
  const pen = usePen(kennel, run, null);
  const [said, setSaid] = useState<string | null>(null);
  const sheet = foldSheet(marks, null);
  const now =
    book.exercises.find(({ id }) => {
      const is = sheet.exercises.find((one) => one.exercise === id)?.state;
      return is === undefined || is === 'open' || is === 'going';
    }) ?? book.exercises[0];
  if (!now) return null;
  const sign = async (seen: BodySign): Promise<void> => {
    const written = await signSeenAtRun(kennel, run, now.id, seen, today);
    setSaid(
      written.ok
        ? tell('before-calling.sign-kept', { sign: SIGN_WORDS[seen], inLog: written.value.inLog })
        : wordsOf(written.message),
    );
  };
  return (
    <Sheet title={tell('before-calling.while-a-helper-calls')}>
      <SignsAndStop
        onSign={(seen) => void sign(seen)}
        onStop={async () => {
          const stopped = await pen.write({ kind: 'state', exercise: now.id, is: 'stopped' });
          setSaid(stopped ? tell('before-calling.stopped', { title: now.title }) : null);
        }}
      />
      {(said ?? pen.trouble) && <Notice role="status">{said ?? pen.trouble}</Notice>}
    </Sheet>
  );
}

/** Why this dog is not called today, in words; empty where nothing speaks against it. */
function refusals({ dog, offWork, signs, beyond }: TrialSafety): string[] {
  return [
    ...(offWork ? [tell('before-calling.off-work', { name: dog.name, why: dog.offWork?.why || null })] : []),
    ...signs.map(({ sign, day, reason }) =>
      tell('before-calling.sign', {
        sign: SIGN_WORDS[sign],
        day: writeDay(day),
        reason: wordsOf(reason),
      }),
    ),
    ...beyond.map(({ asked, most, source }) => tell('before-calling.beyond', { asked, most, source })),
  ];
}

function Against({ against }: { readonly against: readonly string[] }) {
  const { kennel } = useKennel();
  return (
    <Sheet title={tell('before-calling.not-today')}>
      <ul className="grid gap-2">
        {against.map((why) => (
          <li key={why}>
            <Notice tone="alert">{why}</Notice>
          </li>
        ))}
      </ul>
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <Link className={buttonClass('plain')} to={`/${kennel.name}/today`}>
          {tell('before-calling.to-today')}
        </Link>
        <Link className={buttonClass('plain')} to={`/${kennel.name}/kennel`}>
          {tell('before-calling.to-the-kennel')}
        </Link>
      </p>
    </Sheet>
  );
}

function Cautions({
  state: { book },
  safety: { dog },
}: {
  readonly state: RunState;
  readonly safety: TrialSafety;
}) {
  const { today } = useKennel();
  const jumps = jumpsIn(book);
  const cautions = cautionsFor({
    dog,
    today,
    work: jumps > 0 ? ['jump'] : [],
    axes: [],
    jumpsToday: null,
    lastStrengthDay: null,
    surface: null,
    temperature: null,
  });
  return (
    <div className="grid gap-2">
      {jumps > 0 && <p className="leading-snug">{tell('before-calling.jumps', { jumps })}</p>}
      {cautions.map((caution) => (
        <CautionNote key={caution.id} caution={caution} />
      ))}
    </div>
  );
}

/** Who calls: a helper on another device, or this device while one is alone. Nothing is drawn before. */
function Begin({ state, script, told }: Pick<Props, 'state' | 'script'> & { readonly told: Told }) {
  const { kennel, done } = useKennel();
  const { run, book } = state;
  const [codes, setCodes] = useState(false);
  const voice = useStewardVoice();
  const { steps } = stepsFor(script, told);
  const begin = (by: 'helper' | 'alone'): void => {
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
    const drawn = drawMaterial(book, script.draws, seed);
    const title = (id: string): string => book.exercises.find((one) => one.id === id)?.title ?? id;
    void done(
      null,
      beginCalling(kennel, {
        id: run.id,
        title: tell('before-calling.called-as', { title: book.title, name: run.name, number: run.number }),
        by,
        seed,
        startedAt: kennel.now(),
        endedAt: null,
        order: drawn.order.map(title),
        drawn: script.draws.map((draw, i) => ({
          title: draw.title,
          drawn: [...(drawn.lists[i]?.drawn ?? [])],
        })),
        steps: callsOf(script, told, drawn, seed).map(({ step, delay }) => ({
          key: step.key,
          exercise: step.exercise,
          kind: step.kind,
          words: step.words,
          delay,
          at: null,
        })),
      }),
    );
  };
  const text = runText({
    run,
    people: [],
    book,
    marks: [],
    script: {
      steps: [...steps].map((step) => ({ ...step, delay: { ...step.delay } })),
      draws: script.draws.map((draw) => ({ ...draw, from: [...draw.from] })),
    },
    calling: null,
  });
  return (
    <Sheet title={tell('begin.who-calls')}>
      <div className="grid gap-5 md:grid-cols-2">
        <section>
          <h3 className="font-bold">{tell('begin.a-helper')}</h3>
          <p className="leading-snug">{tell('begin.helper-how')}</p>
          <p className="mt-2 flex flex-wrap gap-2">
            <Button
              look="ink"
              onClick={() => saveText(`steward-${run.name}-${run.day}.json`, text, 'application/json')}
            >
              {tell('begin.steward-file')}
            </Button>
            <Button aria-pressed={codes} onClick={() => setCodes(!codes)}>
              {tell('hand-over.as-codes')}
            </Button>
            <Button onClick={() => begin('helper')}>{tell('begin.i-call')}</Button>
          </p>
          <Suspense fallback={null}>
            {codes && (
              <div className="mt-3">
                <Codes text={text} />
              </div>
            )}
          </Suspense>
        </section>
        <section>
          <h3 className="font-bold">{tell('begin.alone')}</h3>
          <p className="leading-snug">{tell('begin.alone-how')}</p>
          <fieldset className="mt-2 grid gap-1">
            <legend className="text-sm font-semibold">{tell('begin.how-do-you-hear')}</legend>
            {(['speech', 'vibration'] as const).map((how) => (
              <label key={how} className="flex min-h-11 items-center gap-2">
                <input
                  type="radio"
                  name="voice"
                  className="size-5"
                  checked={voice.how === how}
                  onChange={() => voice.choose(how)}
                />
                {how === 'speech' ? tell('begin.in-one-ear') : tell('begin.by-vibration')}
              </label>
            ))}
          </fieldset>
          {voice.how === 'speech' && !speechIsThere() && (
            <Notice tone="alert">{tell('begin.no-speech')}</Notice>
          )}
          {voice.how === 'vibration' && !vibrationIsThere() && (
            <Notice tone="alert">{tell('begin.no-vibration')}</Notice>
          )}
          <p className="mt-2 text-sm leading-snug text-ink-soft">{tell('begin.not-alone')}</p>
          <p className="mt-2">
            <Button look="signal" size="big" onClick={() => begin('alone')}>
              {tell('begin.start-alone')}
            </Button>
          </p>
        </section>
      </div>
    </Sheet>
  );
}
