import { Link } from 'react-router';
import { asId, type BoutId, type EntryId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import type { Clip } from '@/data/read';
import { amendReps, changeClip, layClip, markStop } from '@/data/write';
import { Button, buttonClass, Notice, SelectField, Sheet } from '@/ui';
import { writeDay, writeInstant } from '@/words';
import { alignedInWords, layBeside } from './beside-log';
import type { Opened } from './clip-store';
import { type Correction, correctionsOf, judgedTwice, type LengthUnit } from './clip-view';
import type { MeasuredGo } from './goes-sheet';
import { GoLine } from './log-line';
import { boutOfFile, type Choice, type ClipLog, useBoutsToShow } from './use-clip-log';
import { tell } from './words';

type Props = {
  readonly clip: Clip;
  readonly opened: Opened | null;
  readonly goes: readonly MeasuredGo[];
  readonly log: ClipLog | null;
  readonly unit: LengthUnit;
  /** Seconds of the clip that are shown. */
  readonly at: number | null;
};

/** The clip beside the log of its bout: laid there by its stamps, reps corrected or added by what it shows. */
export function LogSheet({ clip, opened, goes, log, unit, at }: Props) {
  const { kennel, done, today } = useKennel();
  const dogs = useDogs() ?? [];
  const bouts = useBoutsToShow(clip.dogId, today);
  const choose = (id: string): void =>
    void done(
      tell('log.bout-kept'),
      changeClip(kennel, clip.id, { boutId: id === '' ? null : asId<BoutId>(id) }),
    );
  const guess =
    bouts && opened && clip.boutId === null ? boutOfFile(opened.file, clip.print.seconds, bouts) : null;
  return (
    <Sheet title={tell('log.title')}>
      {dogs.length > 1 && (
        <SelectField
          className="mb-2"
          label={tell('log.dog')}
          value={clip.dogId}
          options={dogs.map(({ id, name }) => ({ value: id, words: name }))}
          onChange={(dogId) => void done(tell('log.bout-kept'), changeClip(kennel, clip.id, { dogId }))}
        />
      )}
      <SelectField
        label={tell('log.bout')}
        value={clip.boutId ?? ''}
        options={[
          { value: '', words: tell('log.no-bout') },
          ...(bouts ?? []).map((one) => ({ value: one.id, words: boutInWords(one) })),
          // A bout of long ago stays chosen.
          ...(log && !bouts?.some(({ id }) => id === log.bout.id)
            ? [{ value: log.bout.id as string, words: `${writeDay(log.bout.day)}: ${log.element.title}` }]
            : []),
        ]}
        onChange={choose}
      />
      {guess && (
        <p className="mt-2">
          <Button onClick={() => choose(guess.id)}>{tell('log.guess', { bout: boutInWords(guess) })}</Button>
        </p>
      )}
      {bouts?.length === 0 && <p className="mt-2">{tell('log.no-bouts')}</p>}
      {log && <Beside clip={clip} goes={goes} log={log} unit={unit} at={at} />}
    </Sheet>
  );
}

const boutInWords = ({ startedAt, title, reps }: Choice): string =>
  tell('log.one-bout', { at: writeInstant(startedAt), title, reps });

type BesideProps = Omit<Props, 'opened' | 'log'> & { readonly log: ClipLog };

function Beside({ clip, goes, log, unit, at }: BesideProps) {
  const { kennel, done } = useKennel();
  const { reps } = log;
  const plain = goes.map(({ go }) => go);
  const corrections = correctionsOf(goes, reps, log.judging);
  const twice = judgedTwice(plain, reps);
  const lay = (): void => {
    const laid = layBeside(plain, reps);
    if (laid)
      void done(
        alignedInWords(laid.aligned),
        // Unsure, it lies nowhere: somebody says first which rep a go is.
        layClip(kennel, clip.id, laid.aligned.unsure ? null : laid.aligned.offset * 1000, laid.joins),
      );
    else
      void done(
        tell('log.nothing-meets', { goes: goes.length, reps: reps.length }),
        layClip(kennel, clip.id, clip.offset, []),
      );
  };
  const amend = (list: readonly Correction[]): void =>
    void done(
      tell('log.corrected', { count: list.length }),
      amendReps(
        kennel,
        log.bout,
        list.map(({ rep, change }) => ({ of: rep, change })),
      ),
    );
  const joined = plain.filter(({ rep }) => rep !== null).length;
  const endsAfter = at === null ? null : plain.findLast(({ rep, cue }) => rep !== null && cue.at <= at);
  return (
    <div className="mt-3 grid gap-3">
      <p className="flex flex-wrap items-center gap-2">
        <Button look={joined === 0 ? 'ink' : 'plain'} size="big" onClick={lay}>
          {tell('log.lay')}
        </Button>
        <span className="leading-snug">
          {tell('log.joined', { joined, goes: goes.length, reps: reps.length })}
        </span>
      </p>
      {corrections.length > 0 && (
        <Button look="signal" size="big" onClick={() => amend(corrections)}>
          {tell('log.correct', { count: corrections.length })}
        </Button>
      )}
      {twice.of > 0 && (
        <Notice>
          {tell('log.twice', { same: twice.same, of: twice.of })}
          {twice.apart.map((one) => ` ${tell('log.apart', one)}`)}
        </Notice>
      )}
      <ol className="divide-y divide-hair">
        {goes.map(({ go }, i) => (
          <GoLine
            key={go.cue.id}
            clip={clip}
            go={go}
            place={i + 1}
            goes={plain}
            log={log}
            unit={unit}
            correction={corrections.find((one) => one.go === i) ?? null}
            onCorrect={(one) => amend([one])}
          />
        ))}
      </ol>
      {endsAfter?.rep && (
        <p>
          <Button
            onClick={() =>
              void done(
                tell('log.ends-kept', { rep: reps.findIndex(({ id }) => id === endsAfter.rep) + 1 }),
                markStop(kennel, log.bout.id, endsAfter.rep as EntryId),
              )
            }
          >
            {tell('log.should-have-ended', { rep: reps.findIndex(({ id }) => id === endsAfter.rep) + 1 })}
          </Button>
        </p>
      )}
      <p>
        <Link
          className={buttonClass('quiet')}
          to={`/${kennel.name}/field/${log.element.id}/log/${log.bout.id}`}
        >
          {tell('log.to-the-log')}
        </Link>
      </p>
    </div>
  );
}
