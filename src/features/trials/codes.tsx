import qrcode from 'qrcode-generator';
import { useEffect, useMemo, useState } from 'react';
import { piecesOf } from '@/data/files';
import { Button } from '@/ui';
import { tell } from './words';

/** How long each of several codes is shown, milliseconds: time for a camera to find it. */
const TURN = 900;

/** A text as codes on the screen, one after another where there are several; each can be held. */
export function Codes({ text }: { readonly text: string }) {
  const [pieces, setPieces] = useState<readonly string[]>([]);
  const [at, setAt] = useState(0);
  const [held, setHeld] = useState(false);
  useEffect(() => {
    let over = false;
    void piecesOf(text).then((made) => {
      if (!over) setPieces(made);
    });
    return () => {
      over = true;
    };
  }, [text]);
  useEffect(() => {
    if (held || pieces.length < 2) return;
    const timer = setInterval(() => setAt((now) => (now + 1) % pieces.length), TURN);
    return () => clearInterval(timer);
  }, [held, pieces.length]);
  const piece = pieces[at];
  const drawn = useMemo(() => (piece === undefined ? null : drawnOf(piece)), [piece]);
  if (!drawn) return null;
  return (
    <figure className="max-w-sm">
      <svg
        role="img"
        aria-label={tell('codes.code', { n: at + 1, count: pieces.length })}
        viewBox={`0 0 ${drawn.size} ${drawn.size}`}
        shapeRendering="crispEdges"
        className="w-full bg-white"
      >
        <path d={drawn.path} fill="#000" />
      </svg>
      <figcaption className="mt-1 flex flex-wrap items-center gap-2">
        <span className="flex-1">{tell('codes.code', { n: at + 1, count: pieces.length })}</span>
        {pieces.length > 1 && (
          <>
            <Button aria-pressed={held} onClick={() => setHeld(!held)}>
              {tell('codes.hold')}
            </Button>
            <Button onClick={() => setAt((at + 1) % pieces.length)}>{tell('codes.next')}</Button>
          </>
        )}
      </figcaption>
    </figure>
  );
}

/** White that has to be around a code, in its own squares. */
const MARGIN = 4;

function drawnOf(text: string): { readonly size: number; readonly path: string } {
  const code = qrcode(0, 'M');
  code.addData(text, 'Byte');
  code.make();
  const count = code.getModuleCount();
  let path = '';
  for (let row = 0; row < count; row++)
    for (let column = 0; column < count; column++)
      if (code.isDark(row, column)) path += `M${column + MARGIN} ${row + MARGIN}h1v1h-1z`;
  return { size: count + 2 * MARGIN, path };
}
