import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  type ChartOptions,
  LinearScale,
  Tooltip,
} from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { useMemo } from 'react';
import { Bar } from 'react-chartjs-2';
import { tell } from '@/words/shell';
import { ChartFigure } from './chart-figure';
import { type Tokens, useTokens } from './chart-tokens';
import type { HistogramProps } from './histogram';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip, annotation);

/**
 * Shares of runs by score, with the pass line. Bars past the line are solid, short of it hatched.
 */
export default function HistogramChart({ bins, lineAfter, lineLabel, axisLabel, sentence }: HistogramProps) {
  const tokens = useTokens();
  const data = useMemo(
    () => ({
      labels: bins.map((bin) => bin.label),
      datasets: [
        {
          data: bins.map((bin) => bin.share * 100),
          backgroundColor: bins.map((bin) => (bin.passes ? tokens.ink : hatched(tokens))),
          borderColor: tokens.ink,
          borderWidth: 1.5,
          barPercentage: 1,
          categoryPercentage: 0.94,
        },
      ],
    }),
    [bins, tokens],
  );
  return (
    <ChartFigure
      sentence={sentence}
      name="scores"
      table={{
        head: [axisLabel, tell('histogram-chart.share-of-runs')],
        rows: bins.map((bin) => [bin.label, (bin.share * 100).toFixed(1)]),
      }}
    >
      <Bar aria-label={sentence} data={data} options={optionsFor(tokens, lineAfter, lineLabel, axisLabel)} />
    </ChartFigure>
  );
}

function hatched(tokens: Tokens): CanvasPattern | string {
  const tile = document.createElement('canvas');
  tile.width = 8;
  tile.height = 8;
  const pen = tile.getContext('2d');
  if (!pen) return tokens.hair;
  pen.fillStyle = tokens.sheet;
  pen.fillRect(0, 0, 8, 8);
  pen.strokeStyle = tokens.soft;
  pen.lineWidth = 1.5;
  pen.beginPath();
  for (const shift of [-8, 0, 8]) {
    pen.moveTo(shift, 8);
    pen.lineTo(shift + 8, 0);
  }
  pen.stroke();
  return pen.createPattern(tile, 'repeat') ?? tokens.hair;
}

function optionsFor(
  tokens: Tokens,
  lineAfter: number,
  lineLabel: string,
  axisLabel: string,
): ChartOptions<'bar'> {
  const font = { family: tokens.font, size: 13 };
  return {
    animation: false,
    maintainAspectRatio: false,
    plugins: {
      legend: { display: false },
      tooltip: {
        callbacks: {
          label: (item) => tell('histogram-chart.of-runs', { raw: { number: Number(item.raw), digits: 1 } }),
        },
      },
      annotation: {
        annotations: {
          pass: {
            type: 'line',
            xMin: lineAfter,
            xMax: lineAfter,
            borderColor: tokens.signal,
            borderWidth: 4,
            label: {
              display: true,
              content: lineLabel,
              position: 'end',
              backgroundColor: tokens.signal,
              color: '#14100a',
              font: { ...font, weight: 'bold' },
              borderRadius: 0,
            },
          },
        },
      },
    },
    scales: {
      x: {
        title: { display: true, text: axisLabel, color: tokens.soft, font },
        ticks: { color: tokens.ink, font, maxRotation: 0 },
        grid: { display: false },
        border: { color: tokens.ink },
      },
      y: {
        title: { display: true, text: tell('histogram-chart.of-runs-2'), color: tokens.soft, font },
        ticks: { color: tokens.soft, font, maxTicksLimit: 5 },
        grid: { color: tokens.hair },
        border: { display: false },
      },
    },
  };
}
