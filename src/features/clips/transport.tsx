import { ChevronLeft, ChevronRight, ChevronsLeft, ChevronsRight, Pause, Play } from 'lucide-react';
import type { ClipMark, Sound } from '@/core/review';
import { Button } from '@/ui';
import { clockOf } from './clip-view';
import { type Frames, frameAt, timeOf } from './frames';
import { ThumbWheel } from './thumb-wheel';
import type { Player } from './use-player';
import { tell } from './words';

type Props = {
  readonly player: Player;
  readonly frames: Frames;
  readonly marks: readonly ClipMark[];
  readonly sounds: readonly Sound[];
};

/** Where the clip stands. */
export function Shown({ player: { frame }, frames }: Pick<Props, 'player' | 'frames'>) {
  return (
    <p className="flex items-baseline gap-x-3 max-sm:flex-col">
      <span className="text-2xl font-bold tabular-nums">{clockOf(timeOf(frames, frame))}</span>
      <span className="text-ink-soft tabular-nums">
        {tell('transport.frame', { frame: frame + 1, count: frames.at.length })}
      </span>
    </p>
  );
}

/** Every way to another frame. */
export function Transport({ player, frames, marks, sounds }: Props) {
  const { frame, step, show, toggle, playing } = player;
  const [count, at] = [frames.at.length, timeOf(frames, frame)];
  return (
    <div className="grid gap-2">
      <Strip frames={frames} marks={marks} sounds={sounds} frame={frame} onShow={show} />
      <div className="grid grid-cols-5 gap-2">
        <Button className="max-lg:min-h-14" aria-label={tell('transport.back-ten')} onClick={() => step(-10)}>
          <ChevronsLeft aria-hidden="true" />
        </Button>
        <Button className="max-lg:min-h-14" aria-label={tell('transport.back')} onClick={() => step(-1)}>
          <ChevronLeft aria-hidden="true" />
        </Button>
        <Button className="max-lg:min-h-14" aria-label={tell('transport.play', { playing })} onClick={toggle}>
          {playing ? <Pause aria-hidden="true" /> : <Play aria-hidden="true" />}
        </Button>
        <Button className="max-lg:min-h-14" aria-label={tell('transport.on')} onClick={() => step(1)}>
          <ChevronRight aria-hidden="true" />
        </Button>
        <Button className="max-lg:min-h-14" aria-label={tell('transport.on-ten')} onClick={() => step(10)}>
          <ChevronsRight aria-hidden="true" />
        </Button>
      </div>
      {/* At the table there are keys. */}
      <div className="lg:hidden">
        <ThumbWheel frame={frame} count={count} at={clockOf(at)} onStep={step} />
      </div>
    </div>
  );
}

type StripProps = Pick<Props, 'frames' | 'marks' | 'sounds'> & {
  readonly frame: number;
  readonly onShow: (frame: number) => void;
};

/** The whole clip from end to end, with its goes and what was heard. */
function Strip({ frames, marks, sounds, frame, onShow }: StripProps) {
  const [first, last] = [timeOf(frames, 0), timeOf(frames, frames.at.length - 1)];
  const share = (at: number): string => `${(100 * (at - first)) / Math.max(0.001, last - first)}%`;
  return (
    <div>
      <input
        type="range"
        aria-label={tell('transport.whole')}
        aria-valuetext={clockOf(timeOf(frames, frame))}
        min={0}
        max={frames.at.length - 1}
        value={frame}
        className="h-11 w-full accent-(--ink)"
        onChange={(event) => onShow(Number(event.target.value))}
      />
      <div aria-hidden="true" className="relative mx-2 h-5 border-b border-rule">
        {sounds.map(({ at, kind }) => (
          <span
            key={`${kind} ${at}`}
            className={`absolute bottom-0 w-0.5 bg-ink-soft ${kind === 'click' ? 'h-2' : 'h-1'}`}
            style={{ left: share(at) }}
          />
        ))}
        {marks.map(({ id, at, what }) => (
          <button
            key={id}
            type="button"
            tabIndex={-1}
            className={`absolute bottom-0 w-1 ${what === 'cue' ? 'h-5 bg-signal' : 'h-3 bg-ink'}`}
            style={{ left: share(at) }}
            onClick={() => onShow(frameAt(frames, at))}
          />
        ))}
      </div>
    </div>
  );
}
