import { lazy, Suspense } from 'react';

export type HistogramBin = { readonly label: string; readonly share: number; readonly passes: boolean };
export type HistogramProps = {
  readonly bins: readonly HistogramBin[];
  /** Place of the line on the category axis: 9.5 lies between the tenth and the eleventh bar. */
  readonly lineAfter: number;
  readonly lineLabel: string;
  readonly axisLabel: string;
  readonly sentence: string;
};

// The chart library is as large as the rest of the page: it comes only where a chart is shown.
const HistogramChart = lazy(() => import('./histogram-chart'));

export function Histogram(props: HistogramProps) {
  return (
    <Suspense fallback={<p className="h-56">{props.sentence}</p>}>
      <HistogramChart {...props} />
    </Suspense>
  );
}
