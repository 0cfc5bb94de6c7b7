import Papa from 'papaparse';
import { type RefObject, useState } from 'react';
import type { ClipMark } from '@/core/review';
import { CLIP_MEASURES } from '@/core/review';
import { type MarksRead, readMarks, writeMarks } from '@/data/files';
import { useKennel } from '@/data/live';
import type { Clip } from '@/data/read';
import { addMarks } from '@/data/write';
import { Button, FileButton, Notice, Sheet, saveBlob, saveText } from '@/ui';
import { wordsOf } from '@/words';
import type { Opened } from './clip-store';
import { tableOf } from './clip-view';
import { frameAt, lengthAt, timeOf } from './frames';
import type { MeasuredGo } from './goes-sheet';
import { stillOf } from './still';
import { tell } from './words';

type Props = {
  readonly clip: Clip;
  readonly opened: Opened | null;
  readonly marks: readonly ClipMark[];
  readonly goes: readonly MeasuredGo[];
  readonly video: RefObject<HTMLVideoElement | null>;
  readonly drawing: RefObject<SVGSVGElement | null>;
  /** What stands under a still. */
  readonly captions: readonly string[];
};

/** A still with its measures, the marks and the table as files; marks of a file laid on this clip. */
export function OutSheet({ clip, opened, marks, goes, video, drawing, captions }: Props) {
  const { kennel, done } = useKennel();
  const [problem, setProblem] = useState<string | null>(null);
  const [unread, setUnread] = useState<MarksRead['unread']>([]);
  const name = clip.name.replace(/\.[^.]*$/, '');
  const frame = (at: number): number => (opened ? lengthAt(opened.frames, at) : clip.frame);
  const still = async (): Promise<void> => {
    setProblem(null);
    if (!video.current || !drawing.current) return;
    try {
      saveBlob(`${name}.png`, await stillOf(video.current, drawing.current, captions));
    } catch {
      setProblem(tell('out.no-still'));
    }
  };
  const table = (): void => {
    const rows = tableOf(clip, goes, CLIP_MEASURES);
    saveText(`${name}.csv`, Papa.unparse(rows, { escapeFormulae: true }), 'text/csv');
  };
  const read = async (file: File): Promise<void> => {
    setProblem(null);
    const found = readMarks(await file.text());
    if (!found.ok) return setProblem(wordsOf(found.message));
    setUnread(found.value.unread);
    // Whole milliseconds come back to the frame that they were taken from.
    const snapped = found.value.marks.map((mark) =>
      opened ? { ...mark, at: timeOf(opened.frames, frameAt(opened.frames, mark.at)) } : mark,
    );
    await done(
      (count) => tell('out.read', { count, all: snapped.length }),
      addMarks(kennel, clip.id, snapped),
    );
  };
  return (
    <Sheet title={tell('out.title')}>
      <p className="flex flex-wrap gap-2">
        {opened && <Button onClick={() => void still()}>{tell('out.still')}</Button>}
        {marks.length > 0 && (
          <Button onClick={() => saveText(`${name}.vtt`, writeMarks(marks, frame), 'text/vtt')}>
            {tell('out.marks')}
          </Button>
        )}
        {goes.length > 0 && <Button onClick={table}>{tell('out.table')}</Button>}
        <FileButton
          label={tell('out.read-marks')}
          inputLabel={tell('out.file-of-marks')}
          accept=".vtt,text/vtt"
          onFile={read}
        />
      </p>
      {problem && <Notice tone="alert">{problem}</Notice>}
      {unread.length > 0 && (
        <Notice>
          {tell('out.unread', { count: unread.length })}
          <ul>
            {unread.slice(0, 10).map(({ line, text }) => (
              <li key={line}>{tell('out.line', { line, text })}</li>
            ))}
          </ul>
        </Notice>
      )}
    </Sheet>
  );
}
