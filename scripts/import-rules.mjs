import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/**
 * Who may import whom, as one table. `node scripts/import-rules.mjs` writes the linter's rules from
 * it; a test finds them stale, and plants violations to see them refused.
 */
const CORE = [
  'shared',
  'statistics',
  'geometry',
  'rulebooks',
  'breakdown',
  'coaching',
  'log',
  'evidence',
  'readiness',
  'planning',
  'review',
  'trials',
  'learner',
];
const core = CORE.map((module) => `@/core/${module}`);

/** Libraries that the computation must not touch: it runs without a page, a database or a clock. */
const OF_THE_PAGE = [
  'react',
  'react/**',
  'react-dom',
  'react-dom/**',
  'dexie',
  'dexie-react-hooks',
  'zustand',
  'react-router',
  'react-router/**',
  'chart.js',
  'react-chartjs-2',
  'radix-ui',
  'date-fns',
  'lucide-react',
  'node:*',
];

const ROOM = [
  ...core,
  '@/data/read',
  '@/data/write',
  '@/data/live',
  '@/data/files',
  '@/workers/client',
  '@/ui',
  '@/words',
  '@/words/en/*.json',
];
const NO_PAGE_IN_DATA = [
  'react',
  'react/**',
  'react-dom',
  'react-dom/**',
  'react-router',
  'dexie-react-hooks',
  'zustand',
];

/** `who` may import from the project only `from`; `never` are libraries that it must not use. */
export const TABLE = [
  ...CORE.map((module, i) => ({
    who: `src/core/${module}/**`,
    from: core.slice(0, i),
    never: OF_THE_PAGE,
    words: `core/${module} may import only the core modules before it, by their index.`,
  })),
  {
    who: 'src/core/*/*/**',
    refused: [
      '../../**',
      '@/data/**',
      '@/ui/**',
      '@/features/**',
      '@/app/**',
      '@/workers/**',
      '@/demo/**',
      '@/core/*/*',
    ],
    never: OF_THE_PAGE,
    words: 'A folder inside a core module imports its own module and earlier ones.',
  },
  {
    who: 'src/data/migrations/**',
    refused: ['../**', '@/**', '!@/core/shared'],
    never: OF_THE_PAGE,
    words: 'A migration imports nothing that may change.',
  },
  {
    who: 'src/data/*',
    from: [...core, '@/data/**'],
    never: NO_PAGE_IN_DATA,
    words: 'data imports core and itself; React stays in data/live.',
  },
  {
    who: 'src/data/{records,read,write,files}/**',
    from: [...core, '@/data/**'],
    never: NO_PAGE_IN_DATA,
    words: 'data imports core and itself; React stays in data/live.',
  },
  {
    who: 'src/data/live/**',
    from: [...core, '@/data/**'],
    never: [],
    words: 'data/live imports core and data.',
  },
  {
    who: 'src/workers/**',
    from: [...core, '@/data/read', '@/workers/**'],
    never: ['dexie', 'react', 'react/**', 'react-dom'],
    words: 'workers import core and what data/read reads.',
  },
  {
    who: 'src/workers/{file-tasks,file-work,file-save,file-sheet,file-coach,files.worker}.ts',
    from: [...core, '@/data/{read,write,files,kennel,database}', '@/workers/**'],
    never: ['dexie', 'react', 'react/**', 'react-dom'],
    words: 'the file worker alone also opens, writes and reads files.',
  },
  {
    who: 'src/demo/**',
    from: [...core, '@/data/**'],
    never: ['react', 'dexie'],
    words: 'the sample kennel imports core and data.',
  },
  {
    who: 'src/features/*/**',
    from: ROOM,
    never: ['dexie'],
    words:
      'a room imports core, data/read, data/write, data/live, data/files, workers/client, ui and words; never another room.',
  },
  {
    who: 'src/features/*/*/**',
    refused: ['@/**', '../../**', ...ROOM.map((one) => `!${one}`)],
    never: ['dexie'],
    words: 'a folder inside a room imports what the room may, and the room itself.',
  },
  {
    who: 'src/ui/**',
    from: [...core, '@/words/shell'],
    never: ['dexie', 'react-router', 'react-router/**'],
    words: 'ui takes types from core, its words, and nothing else of the project.',
  },
  {
    who: 'src/words/**',
    from: ['@/core/shared'],
    never: ['dexie', 'react', 'react-dom', 'react-router'],
    words: 'words know what the core shares, and nothing of who says them.',
  },
];

/** Oracles stand alone: what they check they must not use. Written after the tests' leave to import anything. */
const ORACLES = [
  {
    who: 'src/core/readiness/brute-force.test-helper.ts',
    refused: ['@/**', './**', '../**', '!@/core/shared'],
    never: OF_THE_PAGE,
    words: 'The brute-force simulator shares no code with the simulation or the scorer.',
  },
];

const restricted = ({ from, refused, never, words }) => ({
  level: 'error',
  options: {
    patterns: [
      {
        group: [...(refused ?? ['@/**', '../**', ...from.map((one) => `!${one}`)]), ...never],
        message: words,
      },
    ],
  },
});

const ruleOf = (row) => ({
  includes: [row.who],
  linter: { rules: { style: { noRestrictedImports: restricted(row) } } },
});

/** The linter's settings that say the table. */
export function rulesFrom(table) {
  return {
    overrides: [
      ...table.map(ruleOf),
      {
        includes: ['**/*.test.ts', '**/*.bench.ts', '**/*.test-helper.ts'],
        linter: { rules: { style: { noRestrictedImports: 'off' } } },
      },
      ...ORACLES.map(ruleOf),
    ],
  };
}

const FILE = 'biome.imports.json';
export const written = () => readFileSync(FILE, 'utf8');
export const wanted = () => `${JSON.stringify(rulesFrom(TABLE))}\n`;

if (process.argv[1] === fileURLToPath(import.meta.url)) writeFileSync(FILE, wanted());
