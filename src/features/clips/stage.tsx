import { type KeyboardEvent, type ReactNode, useState } from 'react';
import type { Pixel } from '@/core/geometry';
import { Button } from '@/ui';
import type { Player } from './use-player';
import { tell } from './words';

type Props = {
  readonly url: string;
  readonly player: Player;
  readonly width: number;
  readonly height: number;
  /** What a tap on the picture would set; null where a tap sets nothing. */
  readonly aim: string | null;
  /** What stands beside how near it is: the time that is shown. */
  readonly aside: ReactNode;
  readonly onPoint: (px: Pixel) => void;
  readonly children: ReactNode;
};

const ZOOMS = [1, 2, 4] as const;

/** The picture, as near as is wanted, with what is drawn over it; a tap or Enter sets a point. */
export function Stage({ url, player, width, height, aim, aside, onPoint, children }: Props) {
  const [zoom, setZoom] = useState<(typeof ZOOMS)[number]>(1);
  const [cross, setCross] = useState<Pixel | null>(null);
  // Where a finger was is seen by what it set.
  const [byKey, setByKey] = useState(false);
  const within = ([x, y]: Pixel): Pixel => [
    Math.max(0, Math.min(width, x)),
    Math.max(0, Math.min(height, y)),
  ];
  const keys = (event: KeyboardEvent): void => {
    if (aim === null) return;
    const by = (event.shiftKey ? 20 : 2) * (width / 1280);
    const [x, y] = cross ?? [width / 2, height / 2];
    const moves: Record<string, Pixel> = {
      ArrowLeft: [x - by, y],
      ArrowRight: [x + by, y],
      ArrowUp: [x, y - by],
      ArrowDown: [x, y + by],
    };
    const move = moves[event.key];
    if (move) {
      setCross(within(move));
      setByKey(true);
    } else if (event.key === 'Enter') onPoint([x, y]);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div>
      <div className="max-h-[70vh] overflow-auto border-2 border-ink bg-ink">
        <div className="relative" style={{ width: `${zoom * 100}%`, aspectRatio: `${width} / ${height}` }}>
          <video
            ref={player.video}
            src={url}
            playsInline
            preload="auto"
            className="absolute inset-0 size-full"
            {...player.on}
          />
          {children}
          {aim !== null && (
            <button
              type="button"
              aria-label={tell('stage.aim', { aim })}
              className="absolute inset-0 size-full cursor-crosshair"
              onKeyDown={keys}
              onClick={(event) => {
                // Enter on a button is a click without a place: the crosshair has set its own.
                if (event.detail === 0) return;
                const box = event.currentTarget.getBoundingClientRect();
                const px = within([
                  ((event.clientX - box.left) / box.width) * width,
                  ((event.clientY - box.top) / box.height) * height,
                ]);
                setCross(px);
                setByKey(false);
                onPoint(px);
              }}
            >
              {cross && byKey && (
                <span
                  aria-hidden="true"
                  className="pointer-events-none absolute size-6 -translate-1/2 rounded-full border-2 border-signal"
                  style={{ left: `${(100 * cross[0]) / width}%`, top: `${(100 * cross[1]) / height}%` }}
                />
              )}
            </button>
          )}
        </div>
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {aside}
        <span className="ml-auto text-sm max-sm:sr-only">{tell('stage.nearer')}</span>
        {ZOOMS.map((one) => (
          <Button
            key={one}
            look={zoom === one ? 'ink' : 'plain'}
            aria-pressed={zoom === one}
            onClick={() => setZoom(one)}
          >
            {tell('stage.times', { zoom: one })}
          </Button>
        ))}
      </div>
    </div>
  );
}
