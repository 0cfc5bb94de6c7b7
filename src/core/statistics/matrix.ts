/**
 * Small dense matrices as rows of numbers. Meant for a handful of parameters, where clarity beats
 * blocking.
 */
export type Matrix = readonly (readonly number[])[];

/**
 * Lower-triangular L with L·Lᵀ = A, for symmetric positive definite A (n × n). Returns null when A
 * is not. `cholesky([[4, 2], [2, 5]])` → [[2, 0], [1, 2]].
 */
export function cholesky(a: Matrix): number[][] | null {
  const n = a.length;
  const l: number[][] = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  for (let i = 0; i < n; i++) {
    const li = l[i] as number[];
    for (let j = 0; j <= i; j++) {
      const lj = l[j] as number[];
      let sum = a[i]?.[j] ?? Number.NaN;
      for (let k = 0; k < j; k++) sum -= (li[k] as number) * (lj[k] as number);
      if (i !== j) li[j] = sum / (lj[j] as number);
      else if (!(sum > 0)) return null;
      else li[j] = Math.sqrt(sum);
    }
  }
  return l;
}

/** Solves L·Lᵀ·x = b for x, given the Cholesky factor L. */
export function solveCholesky(l: Matrix, b: readonly number[]): number[] {
  const n = l.length;
  const x = [...b];
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i] = at(x, i) - entry(l, i, k) * at(x, k);
    x[i] = at(x, i) / entry(l, i, i);
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i] = at(x, i) - entry(l, k, i) * at(x, k);
    x[i] = at(x, i) / entry(l, i, i);
  }
  return x;
}

/** The inverse of L·Lᵀ, given the Cholesky factor L; symmetric by construction. */
export function inverseFromCholesky(l: Matrix): number[][] {
  const columns = l.map((_, j) =>
    solveCholesky(
      l,
      l.map((__, i) => (i === j ? 1 : 0)),
    ),
  );
  return columns.map((column, i) => column.map((value, j) => (value + entry(columns, j, i)) / 2));
}

const at = (vector: readonly number[], i: number): number => vector[i] as number;
const entry = (matrix: Matrix, i: number, j: number): number => matrix[i]?.[j] as number;
