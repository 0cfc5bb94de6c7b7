import {
  Chart,
  type ChartDataset,
  type ChartOptions,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { tell } from '@/words/shell';
import { ChartFigure } from './chart-figure';
import { type Tokens, useTokens } from './chart-tokens';
import type { PlotProps } from './plot';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler, Tooltip, annotation);

/** Lines, points and a band over two numeric axes, with marked places. */
export default function PlotChart(props: PlotProps) {
  const tokens = useTokens();
  const data = useMemo(() => ({ datasets: datasetsOf(props, tokens) }), [props, tokens]);
  return (
    <ChartFigure sentence={props.sentence} name={props.name} table={props.table}>
      <Line aria-label={props.sentence} data={data} options={optionsFor(props, tokens)} />
    </ChartFigure>
  );
}

function datasetsOf(
  { series, band }: PlotProps,
  tokens: Tokens,
): ChartDataset<'line', { x: number; y: number }[]>[] {
  const edge = { pointRadius: 0, borderWidth: 1, borderColor: tokens.soft };
  const bands: ChartDataset<'line', { x: number; y: number }[]>[] = band
    ? [
        { ...edge, label: tell('plot-chart.low', { label: band.label }), data: [...band.low] },
        {
          ...edge,
          label: tell('plot-chart.high', { label: band.label }),
          data: [...band.high],
          fill: '-1',
          backgroundColor: `${tokens.soft}33`,
        },
      ]
    : [];
  return [
    ...bands,
    ...series.map(
      ({ label, kind, points }): ChartDataset<'line', { x: number; y: number }[]> => ({
        label,
        data: [...points],
        borderColor: tokens.ink,
        backgroundColor: kind === 'hollow' ? tokens.sheet : tokens.ink,
        pointBorderColor: tokens.ink,
        pointBorderWidth: 1.5,
        pointRadius: kind === 'line' ? 3 : 4,
        showLine: kind === 'line',
        borderWidth: 2.5,
      }),
    ),
  ];
}

function optionsFor(
  { marks = [], xLabel, yLabel, xTicks, yRange }: PlotProps,
  tokens: Tokens,
): ChartOptions<'line'> {
  const font = { family: tokens.font, size: 13 };
  const ticks = new Map(xTicks?.map((tick) => [tick.at, tick.words]));
  return {
    animation: false,
    maintainAspectRatio: false,
    parsing: false,
    plugins: {
      legend: { display: false },
      annotation: {
        annotations: Object.fromEntries(
          marks.map((mark, i) => [
            `mark${i}`,
            {
              type: 'line' as const,
              ...(mark.axis === 'x' ? { xMin: mark.at, xMax: mark.at } : { yMin: mark.at, yMax: mark.at }),
              borderColor: mark.strong ? tokens.signal : tokens.soft,
              borderWidth: mark.strong ? 4 : 1.5,
              borderDash: mark.strong ? [] : [6, 4],
              label: {
                display: true,
                content: mark.label,
                position: mark.strong ? ('start' as const) : ('end' as const),
                ...(mark.axis === 'y' ? { yAdjust: -11 } : {}),
                backgroundColor: mark.strong ? tokens.signal : tokens.sheet,
                color: mark.strong ? '#14100a' : tokens.ink,
                font,
                borderRadius: 0,
                padding: 3,
              },
            },
          ]),
        ),
      },
    },
    scales: {
      x: {
        type: 'linear',
        title: { display: true, text: xLabel, color: tokens.soft, font },
        ...(xTicks
          ? {
              afterBuildTicks: (scale) => {
                scale.ticks = xTicks.map((tick) => ({ value: tick.at }));
              },
            }
          : {}),
        ticks: {
          color: tokens.ink,
          font,
          maxRotation: 0,
          callback: (value) => ticks.get(Number(value)) ?? (xTicks ? '' : String(value)),
        },
        grid: { display: false },
        border: { color: tokens.ink },
      },
      y: {
        title: { display: true, text: yLabel, color: tokens.soft, font },
        ticks: { color: tokens.soft, font, maxTicksLimit: 6 },
        grid: { color: tokens.hair },
        border: { display: false },
        grace: '12%',
        ...(yRange ? { min: yRange[0], max: yRange[1] } : {}),
      },
    },
  };
}
