import { BarController, BarElement, CategoryScale, Chart, type ChartOptions, LinearScale, Tooltip } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { useEffect, useMemo, useState } from 'react';
import { Bar } from 'react-chartjs-2';
import type { HistogramProps } from './histogram';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip, annotation);

/** Shares of runs by score, with the pass line. Bars past the line are solid, short of it hatched; the table says the same. */
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
    <figure>
      <div className="h-56">
        <Bar aria-label={sentence} data={data} options={optionsFor(tokens, lineAfter, lineLabel, axisLabel)} />
      </div>
      <figcaption className="mt-1 text-sm text-ink-soft">{sentence}</figcaption>
      <details className="mt-1 text-sm">
        <summary className="min-h-6 cursor-pointer underline underline-offset-4">The same as a table</summary>
        <table className="mt-1">
          <thead>
            <tr>
              <th className="pr-6 text-left">{axisLabel}</th>
              <th className="text-right">share of runs</th>
            </tr>
          </thead>
          <tbody>
            {bins.map((bin) => (
              <tr key={bin.label}>
                <td>{bin.label}</td>
                <td className="text-right">{(bin.share * 100).toFixed(1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

type Tokens = {
  readonly ink: string;
  readonly soft: string;
  readonly hair: string;
  readonly sheet: string;
  readonly signal: string;
  readonly font: string;
};

// A canvas inherits nothing from the page: colours and font are read from it, again whenever the theme changes.
function useTokens(): Tokens {
  const [tokens, setTokens] = useState(readTokens);
  useEffect(() => {
    const watch = new MutationObserver(() => setTokens(readTokens()));
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => watch.disconnect();
  }, []);
  return tokens;
}

function readTokens(): Tokens {
  const style = getComputedStyle(document.documentElement);
  const token = (name: string): string => style.getPropertyValue(name).trim();
  return {
    ink: token('--ink'),
    soft: token('--ink-soft'),
    hair: token('--hair'),
    sheet: token('--sheet'),
    signal: token('--signal'),
    font: style.fontFamily,
  };
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

function optionsFor(tokens: Tokens, lineAfter: number, lineLabel: string, axisLabel: string): ChartOptions<'bar'> {
  const font = { family: tokens.font, size: 13 };
  return {
    animation: false,
    maintainAspectRatio: false,
    plugins: {
      legend: { display: false },
      tooltip: { callbacks: { label: (item) => `${Number(item.raw).toFixed(1)} % of runs` } },
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
        title: { display: true, text: '% of runs', color: tokens.soft, font },
        ticks: { color: tokens.soft, font, maxTicksLimit: 5 },
        grid: { color: tokens.hair },
        border: { display: false },
      },
    },
  };
}
