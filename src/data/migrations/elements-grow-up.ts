import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Faults and kit of the three methods of version 1, as they stood then: elements made from them had
 * none of their own.
 */
const METHODS: Readonly<
  Record<
    string,
    {
      readonly element: string;
      readonly kit: readonly string[];
      readonly work: readonly string[];
      readonly faults: readonly Loose[];
    }
  >
> = {
  'positions-at-a-distance': {
    element: 'position',
    kit: ['ground mark'],
    work: [],
    faults: [
      dog('crept', 'Crept towards you'),
      dog('late', 'Late'),
      dog('anticipated', 'Before the cue'),
      handler('second-cue', 'You gave a second cue'),
    ],
  },
  'memory-retrieve': {
    element: 'memory',
    kit: ['dummies'],
    work: ['retrieve', 'run'],
    faults: [
      dog('hesitated', 'Hesitated'),
      dog('left-line', 'Left the line'),
      dog('dropped', 'Dropped it'),
      handler('early-send', 'You sent too early'),
    ],
  },
  'formal-hold': {
    element: 'still',
    kit: ['thin dowel'],
    work: [],
    faults: [
      dog('mouthed', 'Mouthed it'),
      dog('spat', 'Spat it out'),
      dog('head-drop', 'Head dropped'),
      handler('late-mark', 'You marked late'),
    ],
  },
};

function dog(key: string, label: string): Loose {
  return { key, label, by: 'dog', miss: false };
}

function handler(key: string, label: string): Loose {
  return { key, label, by: 'handler', miss: false };
}

/**
 * Version 2: elements with everything that makes one, own exercises, dogs with a build, a kit list,
 * and what a refusal was.
 */
export const elementsGrowUp: Migration = {
  to: 2,
  name: 'elements grow up',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    dogs: eachRow(tables.dogs, (one) => ({
      ...one,
      size: null,
      shortNosed: null,
      betterSide: null,
      rewards: [],
      cues: [],
      vet: [],
    })),
    breakdowns: eachRow(tables.breakdowns, (one) => ({ ...one, own: null })),
    elements: eachRow(tables.elements, grown),
    entries: eachRow(tables.entries, (one) =>
      one.kind === 'rep' ? { ...one, timing: null, details: {} } : one,
    ),
    sessions: eachRow(tables.sessions, (one) => ({
      ...one,
      conditions: {},
      helper: '',
      temperature: null,
      debrief: null,
    })),
    kit: [],
  }),
};

function grown({ methodId, policy, axes, ...element }: Loose): Loose {
  const method = METHODS[String(methodId)];
  const { setSize, ...rule } = isRow(policy) ? policy : {};
  return {
    ...element,
    form: { kind: 'piece' },
    axes: Array.isArray(axes)
      ? eachRow(axes, (axis) => ({ ...axis, role: 'criterion', levels: null, safety: null }))
      : axes,
    ladderRule: 'one-axis',
    byHand: [],
    countsFrom: [],
    conditions: [],
    needs: [],
    faults: method?.faults ?? [],
    kit: method?.kit ?? [],
    work: method?.work ?? [],
    articles: null,
    policy: { rule, pace: { setSize, sessionCap: null, warmUpCap: null, startBelow: 0, ratchet: 'back' } },
    method: method ? { id: methodId, element: method.element } : null,
    retired: null,
    assigned: [],
  };
}
