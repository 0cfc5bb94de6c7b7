import type { AnyTables, Migration } from './migration';

/** Version 14: clips and their marks; a rep may say how long ago its cue was stamped. No row is touched. */
export const clipsAreMeasured: Migration = {
  to: 14,
  name: 'clips are measured',
  migrate: (tables: AnyTables): AnyTables => ({ ...tables, clips: [], clipMarks: [] }),
};
