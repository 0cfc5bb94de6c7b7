import type { Point } from '../plane';

/** A place at a time: seconds from any beginning, metres. */
export type Timed = Point & { readonly t: number };
/** Where it most likely was and how it moved, metres a second. */
export type State = Timed & { readonly vx: number; readonly vy: number };

/**
 * A receiver and what wears it. `white`: standard deviation of a fix about its slow error, metres; `push`: how much
 * a dog speeds up, slows down and turns, m/s² (standard deviation). `gap`: seconds without a fix after which nothing
 * is told between. `spike`: metres off what was possible that make a fix a false one.
 */
const RECEIVER = { white: 0.5, push: 3, gap: 15, spike: 15 } as const;
/** So many false ones in a row are no spikes: it is somewhere else. */
const ELSEWHERE = 4;

/** Fixes that can be used, in pieces between gaps, and how many were false. */
export type Pieces = {
  readonly pieces: readonly (readonly Timed[])[];
  readonly spikes: number;
  readonly gaps: number;
};

/**
 * Fixes in order of time, without doubles and spikes, parted where none came for fifteen seconds. A fix is a spike
 * where it lies further from both its neighbours than 30 m/s and fifteen metres allow.
 * `inPieces([{ t: 0, x: 0, y: 0 }, { t: 60, x: 9, y: 0 }])` → two pieces, one gap.
 */
export function inPieces(fixes: readonly Timed[]): Pieces {
  const pieces: Timed[][] = [];
  let [spikes, skipped] = [0, 0];
  for (const fix of fixes) {
    const piece = pieces.at(-1);
    const last = piece?.at(-1);
    if (!piece || !last || fix.t - last.t > RECEIVER.gap) {
      pieces.push([fix]);
      skipped = 0;
    } else if (fix.t <= last.t) {
      // A clock that was set back, or one second told twice.
    } else if (isFar(last, fix) && skipped < ELSEWHERE) {
      spikes++;
      skipped++;
    } else {
      // After several in a row the ones before them were false, or it was carried off: a piece of its own.
      if (skipped >= ELSEWHERE) pieces.push([fix]);
      else piece.push(fix);
      skipped = 0;
    }
  }
  return { pieces: pieces.filter((piece) => piece.length > 1), spikes, gaps: Math.max(0, pieces.length - 1) };
}

const isFar = (a: Timed, b: Timed): boolean =>
  Math.hypot(b.x - a.x, b.y - a.y) > RECEIVER.spike + 30 * (b.t - a.t);

/**
 * Where it most likely was at each fix, from all fixes of its piece before and after (Rauch, Tung and Striebel
 * 1965), each axis by itself: a dog keeps its speed but for pushes, a fix is off by the receiver's white error. The
 * slow error of a receiver is left as it is: laying the track takes it out where it is laid.
 */
export function smoothed(piece: readonly Timed[], white: number = RECEIVER.white): State[] {
  const x = smoothAxis(piece, ({ x }) => x, white);
  const y = smoothAxis(piece, ({ y }) => y, white);
  return piece.map(({ t }, i) => ({
    t,
    x: x[i]?.[0] as number,
    y: y[i]?.[0] as number,
    vx: x[i]?.[1] as number,
    vy: y[i]?.[1] as number,
  }));
}

type Belief = {
  readonly p: number;
  readonly v: number;
  readonly pp: number;
  readonly pv: number;
  readonly vv: number;
};

function smoothAxis(
  piece: readonly Timed[],
  of: (fix: Timed) => number,
  white: number,
): (readonly [number, number])[] {
  const noise = white * white;
  const first = piece[0] as Timed;
  const filtered: Belief[] = [{ p: of(first), v: 0, pp: noise, pv: 0, vv: 36 }];
  const predicted: Belief[] = [filtered[0] as Belief];
  for (let i = 1; i < piece.length; i++) {
    const dt = (piece[i] as Timed).t - (piece[i - 1] as Timed).t;
    const ahead = predict(filtered[i - 1] as Belief, dt);
    predicted.push(ahead);
    const gain = ahead.pp / (ahead.pp + noise);
    const gainV = ahead.pv / (ahead.pp + noise);
    const off = of(piece[i] as Timed) - ahead.p;
    filtered.push({
      p: ahead.p + gain * off,
      v: ahead.v + gainV * off,
      pp: (1 - gain) * ahead.pp,
      pv: (1 - gain) * ahead.pv,
      vv: ahead.vv - gainV * ahead.pv,
    });
  }
  const back: (readonly [number, number])[] = Array(piece.length);
  let next = filtered.at(-1) as Belief;
  back[piece.length - 1] = [next.p, next.v];
  let [p, v] = [next.p, next.v];
  for (let i = piece.length - 2; i >= 0; i--) {
    const dt = (piece[i + 1] as Timed).t - (piece[i] as Timed).t;
    const now = filtered[i] as Belief;
    next = predicted[i + 1] as Belief;
    // The gain of the smoother: covariance with the next state, times its inverse.
    const [cpp, cpv] = [now.pp + dt * now.pv, now.pv];
    const [cvp, cvv] = [now.pv + dt * now.vv, now.vv];
    const size = next.pp * next.vv - next.pv * next.pv;
    const [ipp, ipv, ivv] = [next.vv / size, -next.pv / size, next.pp / size];
    const [dp, dv] = [p - next.p, v - next.v];
    const [wp, wv] = [ipp * dp + ipv * dv, ipv * dp + ivv * dv];
    [p, v] = [now.p + cpp * wp + cpv * wv, now.v + cvp * wp + cvv * wv];
    back[i] = [p, v];
  }
  return back;
}

function predict({ p, v, pp, pv, vv }: Belief, dt: number): Belief {
  const push = RECEIVER.push ** 2;
  return {
    p: p + dt * v,
    v,
    pp: pp + 2 * dt * pv + dt * dt * vv + (push * dt ** 3) / 3,
    pv: pv + dt * vv + (push * dt ** 2) / 2,
    vv: vv + push * dt,
  };
}
