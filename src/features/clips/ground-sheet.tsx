import type { LeftOut } from '@/core/geometry';
import type { Clip } from '@/data/read';
import { Button, Notice, Sheet, TextField } from '@/ui';
import { reading, wordsOf, writeDigits } from '@/words';
import { useClips } from './clip-store';
import type { LengthUnit } from './clip-view';
import { YARD } from './clip-view';
import { type Draft, emptyDraft, type GroundKind, nextPoint, readDraft } from './ground-draft';
import { tell } from './words';

type Props = {
  readonly clip: Clip;
  readonly draft: Draft | null;
  readonly unit: LengthUnit;
  /** The file is open, so that the picture can be tapped. */
  readonly open: boolean;
  readonly onDraft: (draft: Draft | null) => void;
  readonly onSave: (ground: Clip['ground']) => void;
};

const KINDS: readonly GroundKind[] = ['rectangle', 'points', 'line'];

/** How far things lie from each other in this picture, so that places can be measured. */
export function GroundSheet({ clip, draft, unit, open, onDraft, onSave }: Props) {
  const { take } = useClips();
  const begin = (kind: GroundKind): void => {
    onDraft(emptyDraft(kind));
    take({ kind: 'ground', point: 0 });
  };
  return (
    <Sheet title={tell('clip-ground.title')} aside={tell('clip-ground.kind', { kind: clip.ground.kind })}>
      {!draft && <p className="leading-snug">{tell('clip-ground.about', { kind: clip.ground.kind })}</p>}
      {draft && open ? (
        <DraftFields
          clip={clip}
          draft={draft}
          unit={unit}
          onDraft={onDraft}
          onSave={(ground) => {
            onSave(ground);
            onDraft(null);
            take({ kind: 'none' });
          }}
          onLeave={() => {
            onDraft(null);
            take({ kind: 'none' });
          }}
        />
      ) : (
        <p className="mt-2 flex flex-wrap gap-2">
          {open ? (
            KINDS.map((kind) => (
              <Button key={kind} onClick={() => begin(kind)}>
                {tell('clip-ground.begin', { kind })}
              </Button>
            ))
          ) : (
            <span className="text-ink-soft">{tell('clip-ground.open-first')}</span>
          )}
          {clip.ground.kind !== 'none' && (
            <Button look="quiet" onClick={() => onSave({ kind: 'none' })}>
              {tell('clip-ground.take-off')}
            </Button>
          )}
        </p>
      )}
    </Sheet>
  );
}

function fitInWords(leftOut: LeftOut | null, unit: LengthUnit): string {
  if (!leftOut) return tell('clip-ground.fits');
  const off = writeDigits(leftOut.typical / (unit === 'yd' ? YARD : 1), 2);
  return tell('clip-ground.fits-within', { off, unit, worst: (leftOut.worst ?? -1) + 1 });
}

type FieldsProps = Pick<Props, 'clip' | 'unit' | 'onSave'> & {
  readonly draft: Draft;
  readonly onDraft: (draft: Draft) => void;
  readonly onLeave: () => void;
};

function DraftFields({ clip, draft, unit, onDraft, onSave, onLeave }: FieldsProps) {
  const { tool, take } = useClips();
  const read = readDraft(draft, clip.picture.width, reading());
  const next = nextPoint(draft);
  const aimed = tool.kind === 'ground' ? tool.point : null;
  const change = (i: number, part: { readonly x?: string; readonly y?: string }): void =>
    onDraft({ ...draft, points: draft.points.map((one, j) => (j === i ? { ...one, ...part } : one)) });
  const count = draft.points.length;
  const resize = (by: 1 | -1): void =>
    onDraft({
      ...draft,
      points: by > 0 ? [...draft.points, { px: null, x: '', y: '' }] : draft.points.slice(0, -1),
    });
  return (
    <div className="grid gap-3">
      <div role="status">
        {aimed !== null && next !== null ? (
          <Notice>{tell('clip-ground.tap', { kind: draft.kind, point: aimed + 1 })}</Notice>
        ) : read.ok ? (
          <Notice>{fitInWords(read.value.leftOut, unit)}</Notice>
        ) : (
          <Notice tone="alert">{wordsOf(read.message)}</Notice>
        )}
      </div>
      {draft.kind === 'rectangle' && (
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label={tell('clip-ground.wide')}
            hint={tell('clip-ground.length-hint', { unit })}
            inputMode="decimal"
            value={draft.width}
            onChange={(event) => onDraft({ ...draft, width: event.target.value })}
          />
          <TextField
            label={tell('clip-ground.deep')}
            inputMode="decimal"
            value={draft.depth}
            onChange={(event) => onDraft({ ...draft, depth: event.target.value })}
          />
        </div>
      )}
      <ol className={`grid gap-2 ${draft.kind === 'rectangle' ? 'grid-cols-2' : ''}`}>
        {draft.points.map((one, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the points are told by their number.
          <li key={i} className="flex flex-wrap items-end gap-2">
            <Button
              look={aimed === i ? 'ink' : 'plain'}
              aria-pressed={aimed === i}
              onClick={() => take({ kind: 'ground', point: i })}
            >
              {tell('clip-ground.point', { kind: draft.kind, point: i + 1, set: one.px !== null })}
            </Button>
            {draft.kind !== 'rectangle' && (
              <TextField
                className="w-28"
                label={tell('clip-ground.across', { point: i + 1, kind: draft.kind })}
                inputMode="decimal"
                value={one.x}
                onChange={(event) => change(i, { x: event.target.value })}
              />
            )}
            {draft.kind === 'points' && (
              <TextField
                className="w-28"
                label={tell('clip-ground.away', { point: i + 1 })}
                inputMode="decimal"
                value={one.y}
                onChange={(event) => change(i, { y: event.target.value })}
              />
            )}
          </li>
        ))}
      </ol>
      {draft.kind !== 'rectangle' && (
        <p className="flex flex-wrap gap-2">
          <Button onClick={() => resize(1)}>{tell('clip-ground.one-more')}</Button>
          {count > (draft.kind === 'line' ? 2 : 4) && (
            <Button onClick={() => resize(-1)}>{tell('clip-ground.one-less')}</Button>
          )}
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        <Button
          look="signal"
          size="big"
          disabled={!read.ok}
          onClick={() => read.ok && onSave(read.value.ground)}
        >
          {tell('clip-ground.save')}
        </Button>
        <Button look="quiet" onClick={onLeave}>
          {tell('clip-ground.leave')}
        </Button>
      </p>
    </div>
  );
}
