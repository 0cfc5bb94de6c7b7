import { CLIP_STAMPS, type ClipStamp, type PlaceOf } from '@/core/review';
import { Button } from '@/ui';
import { type Tool, useClips } from './clip-store';
import { tell } from './words';

type Props = {
  readonly hasGround: 'none' | 'plane' | 'line';
  readonly onStamp: (stamp: ClipStamp) => void;
};

/** What happens in this frame, one tap each; below it what the next tap on the picture means. */
export function MarkBar({ hasGround, onStamp }: Props) {
  const { tool, take } = useClips();
  const toggle = (next: Tool, on: boolean): void => take(on ? { kind: 'none' } : next);
  const place = (of: PlaceOf) => {
    const on = tool.kind === 'place' && tool.of === of;
    return (
      <Button
        key={of}
        aria-pressed={on}
        look={on ? 'ink' : 'plain'}
        onClick={() => toggle({ kind: 'place', of }, on)}
      >
        {tell('marks.place', { of })}
      </Button>
    );
  };
  const angle = (of: 'body' | 'front') => {
    const on = tool.kind === 'angle' && tool.of === of;
    return (
      <Button
        key={of}
        aria-pressed={on}
        look={on ? 'ink' : 'plain'}
        onClick={() => toggle({ kind: 'angle', of, px: [] }, on)}
      >
        {tell('marks.angle', { of })}
      </Button>
    );
  };
  return (
    <div className="grid gap-3">
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">{tell('marks.in-this-frame')}</legend>
        <div className="grid grid-cols-3 gap-2">
          {CLIP_STAMPS.map((stamp, i) => (
            <Button
              key={stamp}
              className="max-lg:min-h-14"
              look={stamp === 'cue' ? 'signal' : 'plain'}
              onClick={() => onStamp(stamp)}
            >
              <span>{tell('marks.stamp', { stamp })}</span>
              <kbd className="hidden text-sm font-normal opacity-80 lg:inline">{i + 1}</kbd>
            </Button>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">{tell('marks.on-the-picture')}</legend>
        <div className="flex flex-wrap gap-2">
          {hasGround !== 'none' && (['dog', 'goal', 'handler'] as const).map(place)}
          {angle('body')}
          {hasGround === 'plane' && angle('front')}
        </div>
        <p className="mt-1 text-sm text-ink-soft" role="status">
          {tell('marks.hint', {
            tool: tool.kind === 'place' ? tool.of : tool.kind === 'angle' ? `${tool.of}` : hasGround,
          })}
        </p>
      </fieldset>
    </div>
  );
}
