import { lazy, Suspense } from 'react';
import type { ChartTable } from './chart-figure';

export type PlotPoint = { readonly x: number; readonly y: number };
export type PlotProps = {
  readonly series: readonly {
    readonly label: string;
    readonly kind: 'line' | 'points' | 'hollow';
    readonly points: readonly PlotPoint[];
  }[];
  /** An area between two edges with the same x: what is not known. */
  readonly band?: {
    readonly label: string;
    readonly low: readonly PlotPoint[];
    readonly high: readonly PlotPoint[];
  };
  readonly marks?: readonly {
    readonly axis: 'x' | 'y';
    readonly at: number;
    readonly label: string;
    readonly strong?: boolean;
  }[];
  readonly xLabel: string;
  readonly yLabel: string;
  /** Words for some places on the x axis, e.g. days; numbers otherwise. */
  readonly xTicks?: readonly { readonly at: number; readonly words: string }[];
  readonly yRange?: readonly [number, number];
  readonly sentence: string;
  readonly name: string;
  readonly table: ChartTable;
};

const PlotChart = lazy(() => import('./plot-chart'));

export function Plot(props: PlotProps) {
  return (
    <Suspense fallback={<p className="h-56">{props.sentence}</p>}>
      <PlotChart {...props} />
    </Suspense>
  );
}
