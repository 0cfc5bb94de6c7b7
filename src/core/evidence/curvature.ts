import type { Design } from './design';
import { type Bench, curvesOf, predict, type Swing, sessionLog } from './marginal';
import { DRAW } from './priors';

export type Curvature = {
  readonly value: number;
  readonly gradient: Float64Array;
  /**
   * Negative second derivatives, row by row: exact, and a part of them that is positive
   * semi-definite everywhere.
   */
  readonly exact: Float64Array;
  readonly safe: Float64Array;
};

/**
 * Places of the grid with less than this share after the reps change no derivative that is used.
 */
const NEGLIGIBLE = 1e-8;

/**
 * `marginalLog` at θ with its first and second derivatives. For a session: with π_q the shares of
 * the grid after the reps, s_q = Σ (y − n p_q) d the score at u_q and d = ∂η/∂θ, gradient Σ π_q s_q
 * and negative Hessian Σ (Σ π_q n p_q (1 − p_q)) d dᵀ − Var_π(s) − Σ (Σ π_q (y − n p_q)) ∂²η/∂θ².
 */
export function marginalCurvature(
  design: Design,
  swing: Swing,
  theta: ArrayLike<number>,
  bench: Bench,
): Curvature {
  predict(design, theta, bench);
  const n = design.params.length;
  const sums: Curvature = {
    value: 0,
    gradient: new Float64Array(n),
    exact: new Float64Array(n * n),
    safe: new Float64Array(n * n),
  };
  const turn = turnOf(design, theta, bench);
  const room = roomFor(n, swing.u.length);
  let value = 0;
  for (let k = 0; k < design.weight.length; k++) {
    const w = design.weight[k] as number;
    value += w * sessionLog(design, swing, bench, k);
    keepShares(room, bench, swing);
    turn.toSession(k);
    for (let r = design.first[k] as number; r < (design.first[k + 1] as number); r++) {
      turn.toRow(r);
      addRow(room, turn, design.total[r] as number, design.clean[r] as number, bench.odds[r] as number);
      turn.rowTurns(sums.exact, -w * room.left);
    }
    addCommon(room, turn);
    turn.sessionTurns(sums.exact, -w * room.gradient(turn.level));
    addSession(sums, room, w);
  }
  value += addGraded(design, theta, sums);
  for (let i = 0; i < n; i++)
    for (let j = 0; j < i; j++) {
      const both = sums.safe[i * n + j] as number;
      sums.safe[j * n + i] = both;
      sums.exact[j * n + i] = sums.exact[i * n + j] as number;
    }
  for (let i = 0; i < n * n; i++) sums.exact[i] = (sums.exact[i] as number) + (sums.safe[i] as number);
  return { ...sums, value };
}

/** Room for one session: what is kept of its grid, its scores there by parameter, and its own sums. */
type Room = {
  readonly n: number;
  readonly nodes: number;
  readonly shares: Float64Array;
  readonly factors: Float64Array;
  readonly residuals: Float64Array;
  readonly scores: Float64Array;
  /** Below the diagonal and on it. */
  readonly safe: Float64Array;
  kept: number;
  /** What a row’s reps were more or less than expected, over the grid. */
  left: number;
  readonly gradient: (i: number) => number;
};

function roomFor(n: number, nodes: number): Room {
  const room: Room = {
    n,
    nodes,
    shares: new Float64Array(nodes),
    factors: new Float64Array(nodes),
    residuals: new Float64Array(nodes),
    scores: new Float64Array(nodes * n),
    safe: new Float64Array(n * n),
    kept: 0,
    left: 0,
    gradient: (i) => {
      let sum = 0;
      for (let q = 0; q < room.kept; q++)
        sum += (room.shares[q] as number) * (room.scores[i * nodes + q] as number);
      return sum;
    },
  };
  return room;
}

/** Takes over the places of the grid that have a share of the session, and clears its sums. */
function keepShares(room: Room, bench: Bench, swing: Swing): void {
  let all = 0;
  for (let q = 0; q < room.nodes; q++) all += bench.shares[q] as number;
  room.kept = 0;
  for (let q = 0; q < room.nodes; q++) {
    const share = (bench.shares[q] as number) / all;
    if (share < NEGLIGIBLE) continue;
    room.shares[room.kept] = share;
    room.factors[room.kept++] = swing.f[q] as number;
  }
  room.scores.fill(0);
  room.safe.fill(0);
}

/** Adds what one row says: to the scores at each kept u, and to the safe curvature. */
function addRow(room: Room, turn: Turn, total: number, clean: number, odds: number): void {
  const { n, nodes, kept, shares, factors, residuals, scores, safe } = room;
  const { d, places, moved } = turn;
  let left = 0;
  let information = 0;
  for (let q = 0; q < kept; q++) {
    const share = shares[q] as number;
    const against = 1 / (1 + odds * (factors[q] as number));
    const residual = clean - total * (1 - against);
    left += share * residual;
    information += share * total * (1 - against) * against;
    residuals[q] = residual;
  }
  room.left = left;
  for (let a = 0; a < moved.count; a++) {
    const i = places[a] as number;
    const di = d[i] as number;
    const at = i * nodes;
    for (let q = 0; q < kept; q++)
      scores[at + q] = (scores[at + q] as number) + (residuals[q] as number) * di;
    const wide = information * di;
    for (let b = 0; b <= a; b++) {
      const j = places[b] as number;
      safe[i * n + j] = (safe[i * n + j] as number) + wide * (d[j] as number);
    }
  }
}

/**
 * What moves all rows of a session alike (the gain by its number, forgetting by its gap) moves them as the
 * level does, so many times: its sums are those of the level.
 */
function addCommon({ n, nodes, kept, scores, safe }: Room, { d, common, level }: Turn): void {
  for (const i of common) {
    const di = d[i] as number;
    for (let q = 0; q < kept; q++) scores[i * nodes + q] = di * (scores[level * nodes + q] as number);
    for (let j = 0; j < n; j++) {
      if (common.includes(j)) continue;
      const with_ = j <= level ? (safe[level * n + j] as number) : (safe[j * n + level] as number);
      const place = j <= i ? i * n + j : j * n + i;
      safe[place] = di * with_;
    }
    for (const j of common)
      if (j <= i) safe[i * n + j] = di * (d[j] as number) * (safe[level * n + level] as number);
  }
}

/** Adds a session’s sums, and takes the variance of its scores over the grid off the exact curvature. */
function addSession({ gradient, exact, safe }: Curvature, room: Room, w: number): void {
  const { n, nodes, kept, shares, scores } = room;
  for (let i = 0; i < n; i++) {
    const centre = room.gradient(i);
    gradient[i] = (gradient[i] as number) + w * centre;
    for (let q = 0; q < kept; q++) scores[i * nodes + q] = (scores[i * nodes + q] as number) - centre;
  }
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let spread = 0;
      for (let q = 0; q < kept; q++)
        spread +=
          (shares[q] as number) * (scores[i * nodes + q] as number) * (scores[j * nodes + q] as number);
      exact[i * n + j] = (exact[i * n + j] as number) - w * spread;
      safe[i * n + j] = (safe[i * n + j] as number) + w * (room.safe[i * n + j] as number);
    }
}

/** How η turns with θ: ∂η/∂θ of a row, and the second derivatives below the diagonal. */
type Turn = {
  readonly d: Float64Array;
  /** Places of θ that move this row by itself, the first `moved.count` of them. */
  readonly places: Int32Array;
  readonly moved: { count: number };
  /** Places of θ that move all rows of a session alike; and that of the level. */
  readonly common: readonly number[];
  readonly level: number;
  readonly toSession: (k: number) => void;
  readonly toRow: (r: number) => void;
  /** Adds `weight` × ∂²η/∂θᵢ∂θⱼ of the row, and of all rows of the session together. */
  readonly rowTurns: (exact: Float64Array, weight: number) => void;
  readonly sessionTurns: (exact: Float64Array, weight: number) => void;
};

/**
 * With x the goes since the last rest, v those before it, w(z) logits a go and c = σ(y): η −= w (x + c v).
 * With g days of gap and h = e^l: η −= F(z) (1 − e^(−g/h)), and with r = g/h ∂η/∂l = F r e^−r, ∂²η/∂l² =
 * (r − 1) ∂η/∂l. What w and F take off is multiplied by w′/w, w″/w, F′/F and F″/F.
 */
function turnOf(design: Design, theta: ArrayLike<number>, bench: Bench): Turn {
  const { width, rows, gap, linear, slopes, tiring: tires, forgets, params, first } = design;
  const { tiring, tiringBy, kept, loss, lossBy, days } = curvesOf(design, theta);
  const late = linear + slopes;
  const gaps = late + tires;
  const n = params.length;
  const d = new Float64Array(n);
  const places = new Int32Array(n);
  const moved = { count: 0 };
  const gain = params.indexOf(DRAW.gain);
  const common = [...(gain < 0 ? [] : [gain]), ...(forgets ? [gaps, gaps + 1] : [])];
  let r = 0;
  let forgotten = 0;
  let tired = 0;
  const add = (exact: Float64Array, i: number, j: number, value: number): void => {
    exact[i * n + j] = (exact[i * n + j] as number) + value;
  };
  return {
    d,
    places,
    moved,
    common,
    level: params.indexOf(DRAW.level),
    toSession: (k) => {
      if (gain >= 0) d[gain] = rows[(first[k] as number) * width + gain] as number;
      if (!forgets) return;
      r = (gap[k] as number) / days;
      forgotten = loss * Math.expm1(-r);
      d[gaps] = forgotten * lossBy.slope;
      d[gaps + 1] = loss * r * Math.exp(-r);
    },
    toRow: (row) => {
      const at = row * width;
      for (let j = 0; j < linear; j++) d[j] = rows[at + j] as number;
      for (let a = 0; a < slopes; a++)
        d[linear + a] = -(bench.slopes[a] as number) * (rows[at + linear + a] as number);
      if (tires > 0) {
        const before = tires === 2 ? (rows[at + late + 1] as number) : 0;
        tired = -tiring * ((rows[at + late] as number) + kept * before);
        d[late] = tired * tiringBy.slope;
        if (tires === 2) d[late + 1] = -tiring * kept * (1 - kept) * before;
      }
      moved.count = 0;
      for (let i = 0; i < gaps; i++) if (d[i] !== 0 && i !== gain) places[moved.count++] = i;
    },
    rowTurns: (exact, weight) => {
      for (let i = linear; i < late; i++) add(exact, i, i, weight * (d[i] as number));
      if (tires > 0) add(exact, late, late, weight * tired * tiringBy.turn);
      if (tires < 2) return;
      const by = weight * (d[late + 1] as number);
      add(exact, late + 1, late, by * tiringBy.slope);
      add(exact, late + 1, late + 1, by * (1 - 2 * kept));
    },
    sessionTurns: (exact, weight) => {
      if (!forgets) return;
      const by = weight * (d[gaps + 1] as number);
      add(exact, gaps, gaps, weight * forgotten * lossBy.turn);
      add(exact, gaps + 1, gaps, by * lossBy.slope);
      add(exact, gaps + 1, gaps + 1, by * (r - 1));
    },
  };
}

/**
 * The part of graded reps that hangs on a slope alone: with v = e^b apart, log(1 − e^−v), its slope v /
 * (e^v − 1), and its negative curvature, which is positive everywhere. Gives the value.
 */
function addGraded(design: Design, theta: ArrayLike<number>, { gradient, safe }: Curvature): number {
  const n = gradient.length;
  let sum = 0;
  for (const { session, slope, apart, reps } of design.graded) {
    const weight = (design.weight[session] as number) * reps;
    const v = Math.exp(theta[slope] as number) * apart;
    const above = Math.expm1(v);
    sum += weight * Math.log(-Math.expm1(-v));
    if (above === Infinity) continue;
    gradient[slope] = (gradient[slope] as number) + (weight * v) / above;
    const curve = (v * (v * Math.exp(v) - above)) / above ** 2;
    safe[slope * n + slope] = (safe[slope * n + slope] as number) + weight * Math.max(0, curve);
  }
  return sum;
}
