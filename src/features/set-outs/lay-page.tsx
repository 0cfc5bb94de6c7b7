import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  cautionOf,
  dogOf,
  isHazard,
  layingList,
  lengthOf,
  linesOf,
  listThings,
  nameOf,
} from '@/core/breakdown';
import { anchorFor } from '@/core/geometry';
import { asId, ok, type SetOutId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type LaidOut, type LaidOutView, laidOutView, type Person } from '@/data/read';
import { changeGround } from '@/data/write';
import {
  Button,
  buttonClass,
  drawingPicture,
  drawingText,
  Notice,
  PageHead,
  SelectField,
  SetOutDrawing,
  Sheet,
  saveBlob,
  saveText,
  useLengthChoice,
} from '@/ui';
import { wordsOf } from '@/words';
import { ChecksList } from './checks-list';
import { UnitField } from './pace-sheet';
import { numberRead } from './reads';
import { TypedField } from './typed-field';
import { useLaidOut } from './use-laid-out';
import { tell } from './words';

/** For whoever lays it out: the drawing, what goes where in order, printed or saved. */
export function LayPage() {
  const { setOut: id = '' } = useParams();
  const found = useLaidOut(asId<SetOutId>(id));
  if (!found) return <p className="text-lg">{tell('room.opening')}</p>;
  if (found === 'none') return <PageHead title={tell('set-out.none')}>{tell('set-out.none-why')}</PageHead>;
  return <Lay {...found} />;
}

type Props = {
  readonly laid: LaidOut;
  readonly lengths: Parameters<typeof laidOutView>[1];
  readonly people: readonly Person[];
};

function Lay({ laid, lengths, people }: Props) {
  const { kennel } = useKennel();
  const svg = useRef<SVGSVGElement>(null);
  const { setOut } = laid;
  const view = laidOutView(laid, lengths);
  const { whose, choose } = useLengthChoice();
  const measured = people.filter((one) => one.pace !== null && !one.putAway);
  const hazards = [...new Set((view.plan?.features ?? []).filter(isHazard).map(({ kind }) => kind))];
  return (
    <>
      <PageHead title={setOut.title}>
        {view.stand ? tell('lay.dog-starts', { stand: view.stand }) : tell('lay.what')}
      </PageHead>
      <ChecksList view={view} only="refused" />
      <p className="mb-4 flex flex-wrap items-end gap-3 print:hidden">
        <Button look="signal" size="big" disabled={view.refused} onClick={() => window.print()}>
          {tell('lay.print')}
        </Button>
        <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/set-outs/${setOut.id}`}>
          {tell('lay.back')}
        </Link>
        <UnitField beside />
        {lengths.unit === 'paces' && measured.length > 0 && (
          <SelectField
            label={tell('pace.paces-of')}
            beside
            value={whose ?? ''}
            options={[
              { value: '', words: tell('pace.nobody') },
              ...measured.map((one) => ({ value: one.name, words: one.name })),
            ]}
            onChange={(value) => choose({ whose: value === '' ? null : value })}
          />
        )}
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-[1fr_24rem] print:block">
        <SetOutDrawing
          svg={svg}
          picture={view.picture}
          title={tell('set-out.drawing', { title: setOut.title })}
        />
        <div className="grid gap-4">
          <Sheet title={tell('lay.in-order')}>
            <ol className="list-inside list-decimal text-lg leading-snug">
              {layingList(view.things, view.plan, view.north, lengths).map((line) => (
                <li key={wordsOf(line)} className="py-1">
                  <span className="inline-block first-letter:uppercase align-top max-w-[calc(100%-2rem)]">
                    {wordsOf(line)}
                  </span>
                </li>
              ))}
            </ol>
            {view.step && <p className="mt-2 leading-snug">{tell('step.is', { step: view.step.words })}</p>}
            {hazards.map((kind) => (
              <p key={kind} className="mt-1 leading-snug font-semibold">
                {wordsOf(cautionOf(kind))}
              </p>
            ))}
          </Sheet>
          {view.refused ? (
            <Notice>{tell('lay.move-first')}</Notice>
          ) : (
            <Save laid={laid} view={view} lengths={lengths} svg={svg} />
          )}
        </div>
      </div>
    </>
  );
}

type SaveProps = Pick<Props, 'laid' | 'lengths'> & {
  readonly view: LaidOutView;
  readonly svg: { readonly current: SVGSVGElement | null };
};

/** The drawing as a file: what is saved is what is seen. */
function Save({ laid, view, lengths, svg }: SaveProps) {
  const { setOut } = laid;
  const [problem, setProblem] = useState<string>();
  const name = setOut.title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-') || 'set-out';
  const save = async (kind: 'svg' | 'png'): Promise<void> => {
    if (!svg.current) return;
    try {
      if (kind === 'svg') saveText(`${name}.svg`, drawingText(svg.current), 'image/svg+xml');
      else saveBlob(`${name}.png`, await drawingPicture(svg.current));
      setProblem(undefined);
    } catch (error) {
      setProblem(tell('lay.not-painted', { why: error instanceof Error ? error.message : String(error) }));
    }
  };
  return (
    <Sheet title={tell('lay.save')} className="print:hidden">
      <p className="flex flex-wrap gap-3">
        <Button onClick={() => void save('svg')}>{tell('lay.as-svg')}</Button>
        <Button onClick={() => void save('png')}>{tell('lay.as-png')}</Button>
      </p>
      {problem && (
        <Notice tone="alert" role="alert">
          {problem}
        </Notice>
      )}
      <Gpx laid={laid} view={view} lengths={lengths} name={name} />
    </Sheet>
  );
}

/** For a receiver: where on the earth the dog stands is said once for a ground, else for this file. */
function Gpx({ laid, view, lengths, name }: Omit<SaveProps, 'svg'> & { readonly name: string }) {
  const { kennel, done } = useKennel();
  const { ground, setOut } = laid;
  const [fix, setFix] = useState<{ readonly lat: number | null; readonly lon: number | null }>({
    lat: null,
    lon: null,
  });
  const dog = dogOf(view.things) ?? { x: 0, y: 0 };
  const typed =
    fix.lat !== null && fix.lon !== null ? anchorFor(dog, view.north, { lat: fix.lat, lon: fix.lon }) : null;
  const anchor = typed ?? view.plan?.anchor ?? null;
  const save = async (): Promise<void> => {
    if (!anchor) return;
    const { writeGpx } = await import('@/data/files');
    const list = new Map(listThings(view.things, view.north, lengths).map((one) => [one.key, one]));
    const places = view.things.map((one) => ({
      x: one.x,
      y: one.y,
      name: wordsOf(nameOf(one, view.things)),
      about: wordsOf(list.get(one.key)?.where ?? ''),
    }));
    const start = { ...dog, name: tell('lay.start'), about: '' };
    const routes = linesOf(view.things).map(({ to, name: goal }) => ({
      name: tell('lay.line-to', { name: goal }),
      places: [start, { x: to.x, y: to.y, name: wordsOf(goal), about: wordsOf(lengthOf(lengths, 0)) }],
    }));
    saveText(
      `${name}.gpx`,
      writeGpx(setOut.title, { anchor, north: view.north, places, routes }),
      'application/gpx+xml',
    );
    if (typed && ground?.plan) {
      const plan = { ...ground.plan, anchor: typed };
      void done(
        tell('lay.anchor-kept', { name: ground.name }),
        changeGround(kennel, ground.id, () => ({ plan })),
      );
    }
  };
  const optional = (low: number, high: number) => (text: string) =>
    text.trim() === '' ? ok(null) : numberRead(low, high)(text);
  return (
    <div className="mt-3 grid gap-2">
      <p className="leading-snug">{view.plan?.anchor ? tell('lay.anchored') : tell('lay.where-on-earth')}</p>
      <div className="grid grid-cols-2 gap-3">
        <TypedField
          label={tell('lay.latitude')}
          hint={tell('lay.latitude-hint')}
          written={fix.lat === null ? '' : String(fix.lat)}
          read={optional(-85, 85)}
          onTake={(lat) => setFix({ ...fix, lat })}
        />
        <TypedField
          label={tell('lay.longitude')}
          hint={tell('lay.longitude-hint')}
          written={fix.lon === null ? '' : String(fix.lon)}
          read={optional(-180, 180)}
          onTake={(lon) => setFix({ ...fix, lon })}
        />
      </div>
      <Button className="justify-self-start" disabled={!anchor} onClick={() => void save()}>
        {tell('lay.as-gpx')}
      </Button>
    </div>
  );
}
