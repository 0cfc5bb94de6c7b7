import { Button } from '@/ui';
import { writeDigits } from '@/words';
import type { JudgedBy } from './judged-by';
import { KeyHint } from './keys';
import { usePad } from './pad-store';
import { Running } from './stamp-button';
import { letGo, TapButton } from './tap-button';
import type { PadActions } from './use-pad-actions';
import { tell } from './words';

type Props = {
  readonly by: Extract<JudgedBy, { kind: 'whole' }>;
  readonly actions: PadActions;
};

/**
 * An exercise from end to end: one press a link gives its time, and one says where it broke. Without the
 * clock it is logged by where it broke alone.
 */
export function WholePad({ by, actions }: Props) {
  const { from, at } = usePad((state) => state.splits);
  const link = by.links[at.length];
  if (from !== null && link)
    return (
      <div className="grid gap-2">
        <p className="flex justify-between text-lg">
          <span>
            {at.map((one, i) => `${writeDigits((one - (at[i - 1] ?? from)) / 1000, 1)} s`).join(' · ')}
          </span>
          <span className="font-bold">
            <Running since={from} />
          </span>
        </p>
        <Button
          look="signal"
          size="huge"
          className="min-h-24 text-2xl"
          aria-disabled={actions.busy || undefined}
          onClick={(event) => {
            letGo(event);
            actions.stamp();
          }}
        >
          {tell('whole-pad.done', { title: link.title })}
          <KeyHint action="stamp" />
        </Button>
        <TapButton size="big" actions={actions} says={{ tap: 'whole', brokeAt: at.length }}>
          {tell('whole-pad.it-broke-here')}
        </TapButton>
      </div>
    );
  return (
    <div className="grid gap-2">
      <Button
        look="signal"
        size="huge"
        className="text-2xl"
        onClick={(event) => {
          letGo(event);
          actions.stamp();
        }}
      >
        {tell('whole-pad.start-the-run')}
        <KeyHint action="stamp" />
      </Button>
      <fieldset className="grid grid-cols-2 gap-1.5" aria-label={tell('whole-pad.without-the-clock')}>
        <TapButton
          size="big"
          className="px-2 text-base"
          actions={actions}
          says={{ tap: 'whole', brokeAt: null }}
        >
          {tell('whole-pad.held-from-end-to-end')}
          <KeyHint action="clean" />
        </TapButton>
        {numbered(by.links).map(({ title, place, key }) => (
          <TapButton
            key={key}
            size="big"
            className="px-2 text-base leading-tight"
            actions={actions}
            says={{ tap: 'whole', brokeAt: place }}
          >
            {tell('whole-pad.broke-at', { place: place + 1, title })}
          </TapButton>
        ))}
      </fieldset>
    </div>
  );
}

/** A piece may stand in an exercise twice: its place tells it apart. */
const numbered = (links: Props['by']['links']) =>
  links.map((link, place) => ({ ...link, place, key: `${place} ${link.id}` }));
