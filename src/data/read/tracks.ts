import { dogOf, type Thing } from '@/core/breakdown';
import {
  bearing,
  distance,
  inPieces,
  laidTrack,
  type Point,
  type State,
  smoothed,
  type Timed,
  type TrackGo,
  toPlane,
  trackGo,
  turnTaken,
  within,
} from '@/core/geometry';
import type { DogId, EntryId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { SetOut, Track, TrackPoints } from '@/data/records';

/** A track with its fixes as local metres, north up, smoothed in pieces; the first fix lies at 0, 0. */
export type ReadTrack = {
  readonly track: Track;
  readonly points: TrackPoints;
  readonly states: readonly State[];
  readonly spikes: number;
  readonly gaps: number;
};

export async function listTracks(kennel: Kennel): Promise<Track[]> {
  return (await kennel.database.of('tracks').toArray()).sort((a, b) => b.startedAt - a.startedAt);
}

export async function trackOf(kennel: Kennel, id: string): Promise<ReadTrack | null> {
  const { database } = kennel;
  const [track, points] = await Promise.all([
    database.of('tracks').get(id),
    database.of('trackPoints').get(id),
  ]);
  return track && points ? readTrack(track, points) : null;
}

/**
 * The fixes of a track as metres about the first one, and what its receiver most likely saw; of a long one only those
 * that are wanted.
 */
function readTrack(
  track: Track,
  points: TrackPoints,
  wanted: (t: number) => boolean = () => true,
): ReadTrack {
  const anchor = { lat: points.lat[0] as number, lon: points.lon[0] as number };
  const fixes = points.t.flatMap((t, i): Timed[] => {
    if (!wanted(t)) return [];
    const fix = { lat: points.lat[i] as number, lon: points.lon[i] as number };
    return [{ t, ...toPlane(anchor, 0, fix) }];
  });
  const { pieces, spikes, gaps } = inPieces(fixes);
  return { track, points, states: pieces.flatMap((piece) => smoothed(piece)), spikes, gaps };
}

/** A go of a laid track, measured against its line. */
export type MeasuredTrackGo = {
  readonly go: Track['goes'][number];
  readonly goal: Thing | null;
  readonly states: readonly State[];
  readonly measured: TrackGo | null;
  /** Metres from where it was sent to where it came to its goal, by the receiver, wherever it was laid. */
  readonly ran: number | null;
  readonly casts: readonly { readonly at: number; readonly turn: number; readonly taken: number | null }[];
};

/** The goes of a track that lies on a set-out; none where it does not lie yet, or the set-out has no dog. */
export function trackGoes(
  { track, states }: Pick<ReadTrack, 'track' | 'states'>,
  setOut: Pick<SetOut, 'things'> | null,
): MeasuredTrackGo[] {
  const from = setOut && dogOf(setOut.things);
  if (!track.lies || !setOut || !from) return [];
  const laid = laidTrack(states, track.lies);
  return track.goes.map((go) => {
    const own = within(laid, go);
    const goal = setOut.things.find(({ key }) => key === go.goal) ?? null;
    const measured = goal ? trackGo(own, from, goal) : null;
    return {
      go,
      goal,
      states: own,
      measured,
      ran: ranTo(own, measured),
      casts: go.casts.map(({ at, turn }) => ({ at, turn, taken: turnTaken(own, at) })),
    };
  });
}

function ranTo(states: readonly State[], measured: TrackGo | null): number | null {
  if (measured?.left == null || measured.there === null) return null;
  // Before it left it stood where it was sent from, and there it picks up.
  const before = middleOf(
    within(states, { from: Number.NEGATIVE_INFINITY, to: measured.left - 1 }).slice(-4),
  );
  const there = middleOf(within(states, { from: measured.there, to: measured.there + 2 }));
  return before && there ? distance(before, there) : null;
}

function middleOf(states: readonly State[]): Point | null {
  if (states.length === 0) return null;
  return {
    x: states.reduce((sum, one) => sum + one.x, 0) / states.length,
    y: states.reduce((sum, one) => sum + one.y, 0) / states.length,
  };
}

/** Which rep each go is: the first that was entered between its beginning and half a minute after its end. */
export function repsOfGoes(
  track: Pick<Track, 'startedAt' | 'goes'>,
  reps: readonly { readonly id: EntryId; readonly at: number; readonly timed: boolean }[],
): (EntryId | null)[] {
  const taken = new Set(track.goes.flatMap(({ rep }) => (rep === null ? [] : [rep])));
  return track.goes.map((go, i) => {
    if (go.rep !== null) return go.rep;
    const next = track.goes[i + 1]?.from ?? Number.POSITIVE_INFINITY;
    const [from, to] = [go.from, Math.min(go.to + 30, next + 5)].map((t) => track.startedAt + t * 1000) as [
      number,
      number,
    ];
    const found = reps.find(({ id, at, timed }) => timed && !taken.has(id) && at >= from && at <= to);
    if (found) taken.add(found.id);
    return found?.id ?? null;
  });
}

/** A measured run of a dog: when its track began, and how far beside its line it ran, degrees. */
export type RunOfDog = {
  readonly day: number;
  readonly line: number;
  readonly wind: { readonly from: number; readonly bearing: number } | null;
};

/** What a simulated collar ran is nobody's run; all dogs of the sample are simulated. */
export const isReal = ({ name }: Pick<Kennel, 'name'>, { source }: Pick<Track, 'source'>): boolean =>
  source !== 'simulated' || name === 'sample';

/** Every measured run of a dog, the first first. */
export async function runsOfDog(kennel: Kennel, dog: DogId): Promise<RunOfDog[]> {
  const { database } = kennel;
  const tracks = await database.of('tracks').where('dogId').equals(dog).toArray();
  const found: RunOfDog[] = [];
  for (const track of tracks.sort((a, b) => a.startedAt - b.startedAt)) {
    if (!track.lies || track.setOut === null || track.goes.length === 0 || !isReal(kennel, track)) continue;
    const [points, setOut] = await Promise.all([
      database.of('trackPoints').get(track.id),
      database.of('setOuts').get(track.setOut),
    ]);
    if (!points || !setOut) continue;
    const read = readTrack(track, points, (t) => track.goes.some((go) => t >= go.from && t <= go.to));
    const from = dogOf(setOut.things);
    for (const { measured, goal } of trackGoes(read, setOut)) {
      if (measured?.line == null || !goal || !from) continue;
      const sent = bearing(from, goal) ?? 0;
      found.push({
        day: track.startedAt,
        line: measured.line,
        wind: setOut.wind && setOut.wind.speed > 0 ? { from: setOut.wind.from, bearing: sent } : null,
      });
    }
  }
  return found;
}

/** So many runs tell how a dog's lines scatter. */
export const ENOUGH_RUNS = 5;

/**
 * How a dog's lines scatter about what it was sent on, degrees (root mean square); null under five runs.
 */
export function lineSpread(runs: readonly RunOfDog[]): number | null {
  if (runs.length < ENOUGH_RUNS) return null;
  return Math.sqrt(runs.reduce((sum, one) => sum + one.line ** 2, 0) / runs.length);
}
