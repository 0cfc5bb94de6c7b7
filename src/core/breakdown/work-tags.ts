/** What kind of load or risk a piece of work carries; cautions and load limits hang on these. */
export const WORK_TAGS = [
  'jump',
  'turn',
  'upright',
  'strength',
  'pull',
  'tug',
  'tether',
  'worn-kit',
  'water',
  'retrieve',
  'laid',
  'birds',
  'run',
  'scent',
  'biter',
  'catch',
  'fingers',
  'table',
] as const;
export type WorkTag = (typeof WORK_TAGS)[number];
