import { Button } from '@/ui';
import type { JudgedBy } from './judged-by';
import { KeyHint } from './keys';
import { tell } from './later-words';
import { usePad } from './pad-store';
import { TapButton } from './tap-button';
import type { PadActions } from './use-pad-actions';

type Props = {
  readonly by: Extract<JudgedBy, { kind: 'scene' }>;
  readonly actions: PadActions;
  /** Another fault, or a miss: by the list. */
  readonly onOther: () => void;
};

/** Several judgements of one scene: each held until a tap says otherwise, and one tap logs them all. */
export function ScenePad({ by, actions, onOther }: Props) {
  const { lost, lose } = usePad();
  return (
    <fieldset className="grid gap-2" aria-label={tell('scene-pad.what-held')}>
      <div className="flex gap-1.5">
        {by.held.map(({ words, fault }) => {
          const held = !lost.includes(fault);
          return (
            <Button
              key={fault}
              size="big"
              look={held ? 'ink' : 'plain'}
              className="flex-1 px-1.5 leading-tight"
              aria-pressed={held}
              onClick={() => lose(fault)}
            >
              {held ? words : tell('scene-pad.not', { words: words.toLowerCase() })}
            </Button>
          );
        })}
      </div>
      <TapButton
        look="signal"
        size="huge"
        className="min-h-20 text-3xl"
        actions={actions}
        says={{ tap: 'clean' }}
      >
        {tell('scene-pad.log-it', { lost: lost.length })}
        <KeyHint action="clean" />
      </TapButton>
      <div className="grid grid-cols-2 gap-2">
        <Button size="big" onClick={onOther}>
          {tell('scene-pad.another-fault')}
        </Button>
        <TapButton size="big" actions={actions} says={{ tap: 'miss' }}>
          {tell('scene-pad.miss')}
        </TapButton>
      </div>
    </fieldset>
  );
}
