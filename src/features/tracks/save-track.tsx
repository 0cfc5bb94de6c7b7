import { type RefObject, useState } from 'react';
import { writeTrackGpx } from '@/data/files';
import type { ReadTrack } from '@/data/read';
import { Button, drawingPicture, drawingText, Notice, Sheet, saveBlob, saveText } from '@/ui';
import { tell } from './words';

/** A track and its picture as files. */
export function SaveTrack({
  read: { track, points },
  svg,
}: {
  readonly read: ReadTrack;
  readonly svg: RefObject<SVGSVGElement | null>;
}) {
  const [problem, setProblem] = useState(false);
  const name =
    track.name
      .toLowerCase()
      .replace(/\.gpx$/, '')
      .replace(/[^\p{L}\p{N}]+/gu, '-') || 'track';
  const gpx = (): void => {
    const fixes = points.t.map((t, i) => ({
      lat: points.lat[i] as number,
      lon: points.lon[i] as number,
      at: track.startedAt + t * 1000,
    }));
    saveText(`${name}.gpx`, writeTrackGpx([{ name: track.name, fixes }]), 'application/gpx+xml');
  };
  const picture = async (kind: 'svg' | 'png'): Promise<void> => {
    if (!svg.current) return;
    setProblem(false);
    try {
      if (kind === 'svg') saveText(`${name}.svg`, drawingText(svg.current), 'image/svg+xml');
      else saveBlob(`${name}.png`, await drawingPicture(svg.current));
    } catch {
      setProblem(true);
    }
  };
  return (
    <Sheet title={tell('tracks.save.title')}>
      <p className="flex flex-wrap gap-2">
        <Button onClick={gpx}>{tell('tracks.save.gpx')}</Button>
        {track.setOut !== null && (
          <>
            <Button onClick={() => void picture('svg')}>{tell('tracks.save.svg')}</Button>
            <Button onClick={() => void picture('png')}>{tell('tracks.save.png')}</Button>
          </>
        )}
      </p>
      {problem && <Notice tone="alert">{tell('tracks.save.not-painted')}</Notice>}
    </Sheet>
  );
}
