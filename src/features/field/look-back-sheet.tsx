import type { Folded } from '@/core/log';
import { asId, type EntryId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { DatedBout, ElementRecord, LookBack } from '@/data/read';
import { markStop, unmarkStop } from '@/data/write';
import { Button, SelectField, Sheet } from '@/ui';
import { tell } from './later-words';
import { besideInWords, hindsightInWords, ownMarkInWords, placeIn, secondsInWords } from './look-back-view';

type Props = {
  readonly element: ElementRecord;
  readonly bout: DatedBout;
  readonly folded: Folded;
  readonly back: LookBack;
  readonly stop: string | null;
};

/** What a bout looks like from afterwards, and the person’s own mark beside it. */
export function LookBackSheet({ bout, folded, back, stop }: Props) {
  const { kennel, done } = useKennelWithDog();
  const own = ownMarkInWords(back, folded, stop);
  const mark = (id: string): void => {
    if (id === '') void done(tell('look-back-sheet.gone'), unmarkStop(kennel, bout.id));
    else
      void done(
        tell('look-back-sheet.kept', { rep: placeIn(folded, id) }),
        markStop(kennel, bout.id, asId<EntryId>(id)),
      );
  };
  return (
    <Sheet title={tell('look-back-sheet.title')}>
      <div className="grid gap-3 leading-snug">
        <p className="text-lg">{hindsightInWords(back, folded)}</p>
        {own && <p className="text-lg font-semibold">{own}</p>}
        {folded.signs.length > 0 && <p>{tell('look-back-sheet.signs', { count: folded.signs.length })}</p>}
        <SelectField
          label={tell('look-back-sheet.should-have-ended')}
          value={stop ?? ''}
          options={[
            { value: '', words: tell('look-back-sheet.no-mark') },
            ...folded.reps.map((rep, i) => ({
              value: rep.id as string,
              words: tell('look-back-sheet.after-rep', { rep: i + 1 }),
            })),
          ]}
          onChange={mark}
        />
        {besideInWords(back).map((line) => (
          <p key={line}>{line}</p>
        ))}
        {secondsInWords(folded).map((line) => (
          <p key={line}>{line}</p>
        ))}
        {stop !== null && (
          <p>
            <Button look="quiet" onClick={() => mark('')}>
              {tell('look-back-sheet.take-off')}
            </Button>
          </p>
        )}
      </div>
    </Sheet>
  );
}
