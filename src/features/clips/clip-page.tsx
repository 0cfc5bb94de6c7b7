import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { PictureGround } from '@/core/geometry';
import { useKennelWithDog } from '@/data/live';
import type { Clip } from '@/data/read';
import { changeClip, removeClip } from '@/data/write';
import { Button, buttonClass, Notice, PageHead } from '@/ui';
import { bareUnit, reading, wordsOf, writeDigits } from '@/words';
import { Again } from './again';
import { useClips } from './clip-store';
import { clockOf, groundOf, type LengthUnit, measureInWords } from './clip-view';
import { frameAt, rateOf, timeOf } from './frames';
import { GoesSheet } from './goes-sheet';
import { type Draft, draftOf, readDraft } from './ground-draft';
import { GroundSheet } from './ground-sheet';
import { LogSheet } from './log-sheet';
import { MarkBar } from './mark-bar';
import { OutSheet } from './out-sheet';
import { Overlay } from './overlay';
import { SoundSheet } from './sound-sheet';
import { Stage } from './stage';
import { Shown, Transport } from './transport';
import { useClipKeys } from './use-clip-keys';
import { useClipLog } from './use-clip-log';
import { type Marked, useMarked } from './use-marked';
import { useMarking } from './use-marking';
import { usePlayer } from './use-player';
import { tell } from './words';

/** One clip: looked at frame by frame, marked, measured, and laid beside the log. */
export function ClipPage() {
  const { clip: id = '' } = useParams();
  const { kennel } = useKennelWithDog();
  const marked = useMarked(id);
  const { take } = useClips();
  useEffect(() => () => take({ kind: 'none' }), [take]);
  if (marked === undefined) return <p className="text-lg">{tell('clip.opening')}</p>;
  if (marked === null)
    return (
      <>
        <PageHead title={tell('clip.gone')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/clips`}>
          {tell('clip.to-the-clips')}
        </Link>
      </>
    );
  return <OneClip key={marked.clip.id} marked={marked} />;
}

const NO_FRAMES = { at: new Float64Array([0]), usual: 1 / 30, exact: false };

function OneClip({ marked }: { readonly marked: Marked }) {
  const { clip, marks, opened, ground, wrong, goes, loose } = marked;
  const { kennel, done } = useKennelWithDog();
  const navigate = useNavigate();
  const log = useClipLog(clip);
  const frames = opened?.frames ?? NO_FRAMES;
  const player = usePlayer(frames);
  const at = timeOf(frames, player.frame);
  const [draft, setDraft] = useState<Draft | null>(null);
  const drawing = useRef<SVGSVGElement>(null);
  const picture = useRef<HTMLDivElement>(null);
  const write = (next: Draft | null): void => {
    if (next && !draft) picture.current?.scrollIntoView({ block: 'start' });
    setDraft(next);
  };
  const { tool, heard } = useClips();
  const marking = useMarking(clip.id, draft, setDraft);
  const unit: LengthUnit = bareUnit('distance') === 'yd' ? 'yd' : 'm';
  // A mark stands on a frame: what plays is stopped first.
  const stamp = (what: Parameters<typeof marking.stamp>[0]): void => {
    if (!opened) return;
    if (player.playing) player.show(player.frame);
    marking.stamp(what, at);
  };
  useClipKeys(player, stamp);
  const show = (time: number): void => player.show(frameAt(frames, time));
  const current = goes.findLast(({ go }) => go.cue.at <= at + 0.001) ?? null;
  const tried = draft ? triedGround(clip, draft) : null;
  const setting = tool.kind === 'angle' ? tool.px : draft ? draft.points.map(({ px }) => px) : [];
  const aim =
    tool.kind === 'none' ? null : tell('stage.tool', { tool: tool.kind === 'ground' ? 'ground' : tool.of });
  const captions = [
    clip.name,
    clockOf(at),
    ...(current
      ? [
          tell('clip.go', { place: goes.indexOf(current) + 1 }),
          ...current.measures.map((one) => measureInWords(one, unit)),
        ]
      : []),
  ];
  // While it is written it stands under the picture that is tapped.
  const groundSheet = (
    <GroundSheet
      clip={clip}
      draft={draft}
      unit={unit}
      open={opened !== null}
      onDraft={write}
      onSave={(to) => void done(tell('clip-ground.saved'), changeClip(kennel, clip.id, { ground: to }))}
    />
  );
  return (
    <>
      <PageHead title={clip.name}>
        {opened
          ? tell('clip.frames', {
              rate: writeDigits(rateOf(frames), 1),
              error: writeDigits(frames.usual, 3),
              exact: frames.exact,
            })
          : null}
      </PageHead>
      <div className="grid items-start gap-5 lg:grid-cols-[3fr_2fr]">
        <div ref={picture} className="grid gap-4 lg:sticky lg:top-2">
          {opened ? (
            <>
              <Stage
                url={opened.url}
                player={player}
                width={clip.picture.width}
                height={clip.picture.height}
                aim={aim}
                aside={<Shown player={player} frames={frames} />}
                onPoint={(px) => marking.point(px, at)}
              >
                <Overlay
                  ref={drawing}
                  width={clip.picture.width}
                  height={clip.picture.height}
                  go={current?.go ?? null}
                  measures={current?.measures ?? []}
                  ground={tried ?? ground}
                  setting={setting}
                  grid={tool.kind === 'place' || tried !== null}
                  unit={unit}
                />
              </Stage>
              {draft ? (
                groundSheet
              ) : (
                <>
                  <Transport player={player} frames={frames} marks={marks} sounds={heard[clip.id] ?? []} />
                  <MarkBar hasGround={ground?.kind ?? 'none'} onStamp={stamp} />
                </>
              )}
            </>
          ) : (
            <Again marked={marked} />
          )}
        </div>
        <div className="grid gap-4">
          {wrong && <Notice tone="alert">{wordsOf(wrong.message)}</Notice>}
          <GoesSheet
            goes={goes}
            loose={loose}
            log={log ?? null}
            unit={unit}
            onShow={opened ? show : null}
            onRemove={marking.remove}
            onSay={(what, go, says) =>
              marking.say(what, go, goes.find((one) => one.go.cue.id === go.cue.id)?.marks ?? [], says)
            }
          />
          {!draft && groundSheet}
          {opened?.sound && (
            <SoundSheet
              clip={clip}
              opened={opened}
              onShow={show}
              onTake={(time, as) => {
                show(time);
                marking.stamp(as, timeOf(frames, frameAt(frames, time)));
              }}
            />
          )}
          <LogSheet
            clip={clip}
            opened={opened}
            goes={goes}
            log={log ?? null}
            unit={unit}
            at={opened ? at : null}
          />
          <OutSheet
            clip={clip}
            opened={opened}
            marks={marks}
            goes={goes}
            video={player.video}
            drawing={drawing}
            captions={captions}
          />
          <p className="flex flex-wrap gap-2">
            <Link className={buttonClass('plain')} to={`/${kennel.name}/clips`}>
              {tell('clip.to-the-clips')}
            </Link>
            <Link className={buttonClass('plain')} to={`/${kennel.name}/clips/compare?a=${clip.id}`}>
              {tell('clip.side-by-side')}
            </Link>
            {draft === null && opened && clip.ground.kind !== 'none' && (
              <Button onClick={() => write(draftOf(clip))}>{tell('clip-ground.change')}</Button>
            )}
            <Button
              look="quiet"
              onClick={() => {
                void done(tell('clip.removed', { name: clip.name }), removeClip(kennel, clip.id));
                void navigate(`/${kennel.name}/clips`);
              }}
            >
              {tell('clip.remove')}
            </Button>
          </p>
        </div>
      </div>
    </>
  );
}

/** The ground of a draft, to be seen before it is kept; null while it is none. */
function triedGround(clip: Clip, draft: Draft): PictureGround | null {
  const read = readDraft(draft, clip.picture.width, reading());
  const built = read.ok ? groundOf({ ground: read.value.ground, picture: clip.picture }) : read;
  return built.ok ? built.value : null;
}
