import { useEffect, useRef, useState } from 'react';
import { type BodySign, standingSign } from '@/core/coaching';
import type { ExerciseKey } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Calling as CallingRecord } from '@/data/read';
import { noteCalled, signSeenAtRun } from '@/data/write';
import { Button, Notice, Sheet, SIGN_WORDS, TextField, useWakeLock } from '@/ui';
import { wordsOf } from '@/words';
import { usePen } from './pen';
import type { RunState } from './run-state';
import { SignsAndStop } from './signs-and-stop';
import { call, hush, sayAloud, useStewardVoice } from './voice';
import { tell } from './words';

type Step = CallingRecord['steps'][number];
type Props = { readonly state: RunState; readonly calling: CallingRecord };

/**
 * A run as it is called, step by step, each after its drawn delay. Alone: an exercise runs through by itself
 * and nobody taps before it is over; with a helper each step waits for a press. Signs and stop are always on
 * the screen.
 */
export function Calling({ state, calling }: Props) {
  const { kennel, today, done } = useKennel();
  const { run } = state;
  const alone = calling.by === 'alone';
  const voice = useStewardVoice();
  const pen = usePen(kennel, run, null);
  const [going, setGoing] = useState(false);
  const [stoppedBy, setStoppedBy] = useState<BodySign | null>(
    () => standingSign(unanswered(state))?.sign ?? null,
  );
  const [shown, setShown] = useState<Step | null>(
    () => calling.steps.findLast((step) => step.at !== null) ?? null,
  );
  const [lost, setLost] = useState<string | null>(null);
  const [over, setOver] = useState<readonly string[]>([]);
  const [asks, setAsks] = useState<ExerciseKey | null>(null);
  useWakeLock();
  useEffect(() => hush, []);
  // What this page has called is over, also before the kennel says so.
  const next = calling.steps.find((step) => step.at === null && !over.includes(step.key)) ?? null;
  const title = (key: ExerciseKey): string =>
    state.book.exercises.find((one) => one.id === key)?.title ?? key;
  const end = (): void => void done(null, noteCalled(kennel, run.id, { ended: true }));
  const called = (step: Step): void => {
    setShown(step);
    setOver((keys) => [...keys, step.key]);
    if (alone) call(step.words);
    else sayAloud(step.words);
    void done(null, noteCalled(kennel, run.id, { step: step.key }));
    const after = calling.steps[calling.steps.findIndex(({ key }) => key === step.key) + 1];
    const isLast = after?.exercise !== step.exercise;
    // With a helper every step is asked for; alone an exercise runs to its end.
    setGoing(alone && !isLast);
    // Where judges are named it is theirs to say.
    if (alone && isLast && run.judges.length === 0) setAsks(step.exercise);
  };
  useDelayed(going && stoppedBy === null ? next : null, called);
  const verdict = (is: 'done' | 'faults' | 'failed' | 'later'): void => {
    if (asks === null) return;
    if (is === 'done' || is === 'failed') void pen.write({ kind: 'state', exercise: asks, is });
    if (is === 'faults') {
      void pen.write({ kind: 'moment', exercise: asks });
      void pen.write({ kind: 'state', exercise: asks, is: 'done' });
    }
    setAsks(null);
    if (!next) end();
  };
  const sign = async (seen: BodySign): Promise<void> => {
    scrollTo(0, 0);
    if (standingSign([...unanswered(state), { id: 'now', sign: seen }])) {
      setGoing(false);
      setStoppedBy(seen);
      hush();
    }
    const exercise = shown?.exercise ?? next?.exercise ?? calling.steps[0]?.exercise;
    const written = exercise && (await signSeenAtRun(kennel, run, exercise, seen, today));
    setLost(written && !written.ok ? wordsOf(written.message) : null);
  };
  const stop = (why: string): void => {
    const exercise = shown?.exercise ?? next?.exercise;
    hush();
    setGoing(false);
    if (exercise) void pen.write({ kind: 'state', exercise, is: 'stopped' }, { reason: why });
    end();
  };
  return (
    <div className="grid gap-4">
      <title>{tell('steward-page.title', { name: run.name })}</title>
      <h1 className="text-xl font-extrabold leading-tight">{calling.title}</h1>
      {!alone &&
        calling.drawn.map(({ title: what, drawn }) => (
          <p key={what} className="leading-snug">
            {tell('calling.drawn', { what, drawn: { list: drawn, between: ', ' } })}
          </p>
        ))}
      {stoppedBy ? (
        <StoppedBy
          sign={stoppedBy}
          onGoOn={async (why) => {
            const exercise = shown?.exercise ?? next?.exercise;
            // It goes on only when the reason is written down.
            if (!exercise || (await pen.write({ kind: 'note', exercise, text: why }))) setStoppedBy(null);
          }}
          onEnd={() => stop(SIGN_WORDS[stoppedBy])}
        />
      ) : asks !== null ? (
        <Sheet title={tell('calling.how-was-it', { title: title(asks) })}>
          <div className="grid gap-2 sm:grid-cols-2">
            {(['done', 'faults', 'failed', 'later'] as const).map((is) => (
              <Button
                key={is}
                size="huge"
                look={is === 'done' ? 'signal' : 'plain'}
                onClick={() => verdict(is)}
              >
                {tell('calling.verdict', { is })}
              </Button>
            ))}
          </div>
        </Sheet>
      ) : (
        <Sheet
          title={tell('calling.now', {
            title: title(shown?.exercise ?? next?.exercise ?? ('' as ExerciseKey)),
          })}
        >
          <p
            role="status"
            aria-live="assertive"
            className="min-h-32 text-[2.75rem] font-extrabold leading-tight"
          >
            {going && !alone ? tell('calling.wait') : shownWords(shown, next, going)}
          </p>
          {next === null ? (
            <Button size="huge" look="signal" className="w-full" onClick={end}>
              {tell('calling.the-run-is-over')}
            </Button>
          ) : (
            !going && (
              <Button size="huge" look="signal" className="w-full" onClick={() => setGoing(true)}>
                {alone
                  ? tell('calling.ready-call', { title: title(next.exercise) })
                  : tell('calling.next-step')}
              </Button>
            )
          )}
          {going && alone && <p className="text-lg leading-snug">{tell('calling.nobody-taps')}</p>}
        </Sheet>
      )}
      {(lost ?? pen.trouble) && (
        <Notice tone="alert" role="alert">
          {lost ?? pen.trouble}
        </Notice>
      )}
      {!alone && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={voice.aloud}
            onChange={(event) => voice.speakAloud(event.target.checked)}
          />
          {tell('calling.speak-aloud')}
        </label>
      )}
      <SignsAndStop onSign={(seen) => void sign(seen)} onStop={() => stop('')} />
    </div>
  );
}

/** Signs of this run after which nobody has said yet why it may go on. */
function unanswered({ marks }: RunState) {
  const answered = marks.findLastIndex((mark) => mark.kind === 'note' && mark.judge === null);
  return marks.slice(answered + 1).flatMap((mark) => (mark.kind === 'sign-seen' ? [mark] : []));
}

const shownWords = (shown: Step | null, next: Step | null, going: boolean): string => {
  if (shown && (going || next === null || shown.exercise === next.exercise)) return shown.words;
  return next === null ? '' : tell('calling.stand-ready');
};

/** Pain, fear and a threat stop everything: it goes on with a reason, or the run is over. */
function StoppedBy({
  sign,
  onGoOn,
  onEnd,
}: {
  readonly sign: BodySign;
  readonly onGoOn: (why: string) => Promise<void>;
  readonly onEnd: () => void;
}) {
  const [why, setWhy] = useState('');
  return (
    <Sheet title={tell('stopped-by.stopped', { sign: SIGN_WORDS[sign] })}>
      <Notice tone="alert" role="alert">
        {tell('stopped-by.look-at-the-dog')}
      </Notice>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <Button size="big" look="signal" onClick={onEnd}>
          {tell('stopped-by.end-the-run')}
        </Button>
        <TextField
          className="min-w-56 flex-1"
          label={tell('stopped-by.why-on')}
          value={why}
          onChange={(event) => setWhy(event.target.value)}
        />
        <Button size="big" disabled={why.trim() === ''} onClick={() => void onGoOn(why.trim())}>
          {tell('stopped-by.go-on')}
        </Button>
      </div>
    </Sheet>
  );
}

/** Calls a step when its delay is over; anew where another one takes its place. */
function useDelayed(step: Step | null, called: (step: Step) => void): void {
  const latest = useRef(called);
  latest.current = called;
  const key = step?.key ?? null;
  const of = useRef(step);
  of.current = step;
  useEffect(() => {
    const waiting = of.current;
    if (key === null || waiting === null) return;
    const timer = setTimeout(() => latest.current(waiting), waiting.delay * 1000);
    return () => clearTimeout(timer);
  }, [key]);
}
