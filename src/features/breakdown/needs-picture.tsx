import { Link } from 'react-router';
import { layers, openness, placeOn, standingOn } from '@/core/breakdown';
import type { ElementId } from '@/core/shared';
import type { GraphNode } from '@/data/read';
import { tell } from './words';

const COLUMN = 300;
const BOX = { width: 200, height: 76, gap: 22 };
const LEFT = 4;

type Place = { readonly x: number; readonly y: number };

/**
 * Elements in columns, each after what it needs; arrows say up to which rung. What waits has a
 * broken edge and says so.
 */
export function NeedsPicture({ nodes }: { readonly nodes: readonly GraphNode[] }) {
  const columns = layers(nodes);
  const tallest = Math.max(...columns.map((column) => column.length));
  const places = new Map<ElementId, Place>(
    columns.flatMap((column, c) =>
      column.map((id, i): [ElementId, Place] => [
        id,
        {
          x: LEFT + c * COLUMN,
          y: 6 + i * (BOX.height + BOX.gap) + ((tallest - column.length) * (BOX.height + BOX.gap)) / 2,
        },
      ]),
    ),
  );
  const width = LEFT * 2 + (columns.length - 1) * COLUMN + BOX.width;
  const height = tallest * (BOX.height + BOX.gap);
  return (
    <section
      className="relative overflow-x-auto pb-2"
      aria-label={tell('needs-picture.picture-of-what-needs-what')}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
    >
      <div className="relative" style={{ width, height }}>
        <svg className="absolute inset-0" width={width} height={height} aria-hidden="true">
          <defs>
            <marker
              id="needs-head"
              viewBox="0 0 10 10"
              refX="9"
              refY="5"
              markerWidth="8"
              markerHeight="8"
              orient="auto"
            >
              <path d="M0 0 10 5 0 10z" className="fill-ink" />
            </marker>
          </defs>
          {nodes.flatMap((node) =>
            node.needs.map((need) => (
              <Arrow
                key={`${need.element}>${node.id}`}
                from={places.get(need.element)}
                to={places.get(node.id)}
                rung={rungOf(nodes, need)}
              />
            )),
          )}
        </svg>
        <ul>
          {nodes.map((node) => (
            <Box key={node.id} node={node} nodes={nodes} place={places.get(node.id)} />
          ))}
        </ul>
      </div>
    </section>
  );
}

/** Where on the ladder of what is needed the need lies, from 0. */
function rungOf(nodes: readonly GraphNode[], need: GraphNode['needs'][number]): number {
  const other = nodes.find((node) => node.id === need.element);
  return other ? placeOn(other.ladder, need.at).rung : 0;
}

function Arrow({
  from,
  to,
  rung,
}: {
  readonly from: Place | undefined;
  readonly to: Place | undefined;
  readonly rung: number;
}) {
  if (!from || !to) return null;
  const [x1, y1, x2, y2] = [from.x + BOX.width, from.y + BOX.height / 2, to.x - 2, to.y + BOX.height / 2];
  const bend = (x2 - x1) / 2;
  // The number stands on the last straight stretch, where no other arrow of the same source runs.
  return (
    <g>
      <path
        d={`M${x1} ${y1} C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}`}
        className="fill-none stroke-ink"
        strokeWidth="2"
        markerEnd="url(#needs-head)"
      />
      <text
        x={(x1 + x2) / 2 - 8}
        y={(y1 + y2) / 2 - 5}
        textAnchor="middle"
        className="fill-ink text-[13px] font-semibold"
        style={{ paintOrder: 'stroke' }}
        stroke="var(--sheet)"
        strokeWidth="5"
      >
        {tell('needs-picture.rung', { rung: rung + 1 })}
      </text>
    </g>
  );
}

function Box({
  node,
  nodes,
  place,
}: {
  readonly node: GraphNode;
  readonly nodes: readonly GraphNode[];
  readonly place: Place | undefined;
}) {
  if (!place) return null;
  const { open, waits } = openness(node, nodes);
  return (
    <li className="absolute" style={{ left: place.x, top: place.y, width: BOX.width, height: BOX.height }}>
      <Link
        to={`../${node.id}/about`}
        relative="path"
        className={`flex h-full flex-col justify-center bg-sheet px-3 leading-tight hover:bg-paper ${open ? 'border-2 border-ink' : 'border-[3px] border-dashed border-rule'}`}
      >
        <span className="line-clamp-2 font-bold">{node.title}</span>
        <span className="text-sm text-ink-soft">
          {tell('needs-picture.open', {
            open: Boolean(open),
            rung: standingOn(node.ladder, node.stands).place.rung + 1,
          })}
        </span>
        {!open && <span className="sr-only">: {waits.join('; ')}</span>}
      </Link>
    </li>
  );
}
