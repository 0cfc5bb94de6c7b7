import { useLiveQuery } from 'dexie-react-hooks';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { CLIP_MEASURES } from '@/core/review';
import { useKennelWithDog } from '@/data/live';
import { listClips } from '@/data/read';
import { Button, buttonClass, FileButton, Notice, PageHead, SelectField, Sheet } from '@/ui';
import { bareUnit, wordsOf, writeDigits } from '@/words';
import { clockOf, type LengthUnit, unitOf, valueInWords } from './clip-view';
import { MEDIA } from './clips-room';
import { frameAt } from './frames';
import type { MeasuredGo } from './goes-sheet';
import { Overlay } from './overlay';
import { ThumbWheel } from './thumb-wheel';
import { type Marked, useMarked } from './use-marked';
import { useOpenClip } from './use-open-clip';
import { usePlayer } from './use-player';
import { tell } from './words';

/** Seconds of a step where two clips are stepped together. */
const STEP = 1 / 25;
/** Seconds before and after the cue that are offered. */
const [BEFORE, AFTER] = [2, 10];

/** Two goes side by side, each from its cue: what was before and what is now. */
export function ComparePage() {
  const { kennel, dog } = useKennelWithDog();
  const [params, setParams] = useSearchParams();
  const [steps, setSteps] = useState(0);
  const clips = useLiveQuery(() => listClips(kennel, dog.id), [kennel, dog.id]);
  const [a, b] = [useSide(params.get('a'), params.get('go-a')), useSide(params.get('b'), params.get('go-b'))];
  if (!clips) return <p className="text-lg">{tell('clip.opening')}</p>;
  const choose = (side: 'a' | 'b', part: { readonly clip?: string; readonly go?: string }): void => {
    const next = new URLSearchParams(params);
    if (part.clip !== undefined) {
      next.set(side, part.clip);
      next.delete(`go-${side}`);
    }
    if (part.go !== undefined) next.set(`go-${side}`, part.go);
    setParams(next, { replace: true });
  };
  const seconds = steps * STEP;
  return (
    <>
      <PageHead title={tell('compare.title')}>{tell('compare.what')}</PageHead>
      <div className="grid items-start gap-4 md:grid-cols-2">
        {(['a', 'b'] as const).map((side) => (
          <Side
            key={side}
            side={side}
            clips={clips.map(({ clip }) => ({ value: clip.id as string, words: clip.name }))}
            shown={side === 'a' ? a : b}
            seconds={seconds}
            onChoose={(part) => choose(side, part)}
          />
        ))}
      </div>
      <div className="my-4 grid gap-2">
        <p className="text-xl font-bold tabular-nums" role="status">
          {tell('compare.at', { at: writeDigits(Math.abs(seconds), 2), before: seconds < 0 })}
        </p>
        <div className="grid grid-cols-2 gap-2">
          <Button size="big" aria-label={tell('transport.back')} onClick={() => setSteps(steps - 1)}>
            <ChevronLeft aria-hidden="true" />
          </Button>
          <Button size="big" aria-label={tell('transport.on')} onClick={() => setSteps(steps + 1)}>
            <ChevronRight aria-hidden="true" />
          </Button>
        </div>
        <ThumbWheel
          frame={steps + BEFORE / STEP}
          count={(BEFORE + AFTER) / STEP}
          at={clockOf(Math.max(0, seconds))}
          onStep={(by) => setSteps((now) => Math.max(-BEFORE / STEP, Math.min(AFTER / STEP, now + by)))}
        />
      </div>
      {a?.go && b?.go && <Table a={a.go} b={b.go} />}
      <p className="mt-4">
        <Link className={buttonClass('plain')} to={`/${kennel.name}/clips`}>
          {tell('clip.to-the-clips')}
        </Link>
      </p>
    </>
  );
}

type Shown = { readonly marked: Marked; readonly go: MeasuredGo | null; readonly place: number };

function useSide(id: string | null, go: string | null): Shown | null {
  const marked = useMarked(id ?? '');
  if (!marked) return null;
  const place = Math.min(Number(go ?? 0) || 0, Math.max(0, marked.goes.length - 1));
  return { marked, go: marked.goes[place] ?? null, place };
}

type SideProps = {
  readonly side: 'a' | 'b';
  readonly clips: readonly { readonly value: string; readonly words: string }[];
  readonly shown: Shown | null;
  readonly seconds: number;
  readonly onChoose: (part: { readonly clip?: string; readonly go?: string }) => void;
};

function Side({ side, clips, shown, seconds, onChoose }: SideProps) {
  const { busy, failure, open } = useOpenClip();
  const { dog } = useKennelWithDog();
  const choose = async (file: File): Promise<void> => {
    const opened = await open(file, dog.id);
    if (opened) onChoose({ clip: opened.id });
  };
  return (
    <Sheet title={tell('compare.side', { side })}>
      <div className="grid gap-2">
        <SelectField
          label={tell('compare.clip')}
          value={shown?.marked.clip.id ?? ''}
          options={[{ value: '', words: tell('compare.none') }, ...clips]}
          onChange={(clip) => onChoose({ clip })}
        />
        {shown && shown.marked.goes.length > 0 && (
          <SelectField
            label={tell('compare.go')}
            value={String(shown.place)}
            options={shown.marked.goes.map(({ go }, i) => ({
              value: String(i),
              words: tell('goes.go', { place: i + 1, at: clockOf(go.cue.at), rep: 0 }),
            }))}
            onChange={(go) => onChoose({ go })}
          />
        )}
        {shown && shown.marked.goes.length === 0 && <Notice>{tell('compare.no-goes')}</Notice>}
        {shown?.marked.opened && shown.go ? (
          <Picture shown={shown} go={shown.go} seconds={seconds} />
        ) : (
          <FileButton
            label={tell('compare.open')}
            inputLabel={tell('compare.file', { side })}
            accept={MEDIA}
            onFile={choose}
          />
        )}
        <div role="status">{busy && <Notice>{tell('clip-room.reading')}</Notice>}</div>
        {failure && <Notice tone="alert">{wordsOf(failure.message)}</Notice>}
      </div>
    </Sheet>
  );
}

const NO_FRAMES = { at: new Float64Array([0]), usual: 1 / 30, exact: false };

function Picture({
  shown: { marked },
  go,
  seconds,
}: {
  readonly shown: Shown;
  readonly go: MeasuredGo;
  readonly seconds: number;
}) {
  const { clip, opened } = marked;
  const frames = opened?.frames ?? NO_FRAMES;
  const { video, show, on } = usePlayer(frames);
  const frame = frameAt(frames, go.go.cue.at + seconds);
  useEffect(() => show(frame), [show, frame]);
  const unit: LengthUnit = bareUnit('distance') === 'yd' ? 'yd' : 'm';
  return (
    <div
      className="relative border-2 border-ink bg-ink"
      style={{ aspectRatio: `${clip.picture.width} / ${clip.picture.height}` }}
    >
      <video
        ref={video}
        src={opened?.url}
        playsInline
        muted
        preload="auto"
        className="absolute inset-0 size-full"
        {...on}
      />
      <Overlay
        ref={null}
        width={clip.picture.width}
        height={clip.picture.height}
        go={go.go}
        measures={go.measures}
        ground={null}
        setting={[]}
        grid={false}
        unit={unit}
      />
    </div>
  );
}

/** Every measure that both have, and whether they differ by more than can be measured. */
function Table({ a, b }: { readonly a: MeasuredGo; readonly b: MeasuredGo }) {
  const unit: LengthUnit = bareUnit('distance') === 'yd' ? 'yd' : 'm';
  const rows = CLIP_MEASURES.flatMap((kind) => {
    const [one, two] = [a, b].map(({ measures }) => measures.find((measure) => measure.kind === kind));
    if (!one && !two) return [];
    const told = one && two ? Math.abs(two.value - one.value) > Math.hypot(one.error, two.error) : null;
    return [{ kind, one, two, told }];
  });
  if (rows.length === 0) return <Notice>{tell('compare.nothing')}</Notice>;
  return (
    <Sheet title={tell('compare.measured')}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b border-rule">
            <th className="py-1 pr-2">{tell('compare.what-measured')}</th>
            <th className="pr-2">{tell('compare.side', { side: 'a' })}</th>
            <th className="pr-2">{tell('compare.side', { side: 'b' })}</th>
            <th>{tell('compare.change')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ kind, one, two, told }) => {
            const { unit: of, per, digits } = unitOf({ kind }, unit);
            return (
              <tr key={kind} className="border-b border-hair">
                <th className="py-1 pr-2 font-semibold">{tell('measure.name', { kind })}</th>
                <td className="pr-2 tabular-nums">{one ? valueInWords(one, unit) : ''}</td>
                <td className="pr-2 tabular-nums">{two ? valueInWords(two, unit) : ''}</td>
                <td className="tabular-nums">
                  {one && two
                    ? tell('compare.by', {
                        by: `${two.value >= one.value ? '+' : '−'}${writeDigits(Math.abs(two.value - one.value) / per, digits)} ${of}`,
                        told: told ?? false,
                      })
                    : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Sheet>
  );
}
