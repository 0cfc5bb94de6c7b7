import type { Day, DogId, ExchangeId, Sentence } from '@/core/shared';
import type {
  Answer,
  GpxRead,
  Packet,
  RowProblem,
  SheetMapping,
  SheetRow,
  SheetTableName,
  TableStyle,
  Usual,
} from '@/data/files';
import type { KennelCounts, KennelName } from '@/data/read';
import type { Answered, NewAxes, SheetBrought } from '@/data/write';

/** What the file worker can be asked. `now` is the page's clock, milliseconds since 1970. */
export type FileTask =
  /** The kennel as a file; `since` leaves out what the named file told. */
  | {
      readonly kind: 'save';
      readonly kennel: KennelName;
      readonly now: number;
      readonly since: ExchangeId | null;
      /** One of many that nobody carries to another device: none goes on from it. */
      readonly backup?: true;
    }
  | { readonly kind: 'look'; readonly file: Blob }
  | {
      readonly kind: 'bring';
      readonly how: 'add' | 'replace';
      readonly kennel: KennelName;
      readonly now: number;
    }
  /** One table of the kennel, for a spreadsheet. */
  | {
      readonly kind: 'table';
      readonly table: SheetTableName;
      readonly style: TableStyle;
      readonly kennel: KennelName;
      readonly now: number;
    }
  /** Chosen dogs for their coach; sessions of `weeks` back, all where it is null. */
  | {
      readonly kind: 'packet';
      readonly dogs: readonly DogId[];
      readonly weeks: number | null;
      readonly today: Day;
      readonly by: string;
      readonly kennel: KennelName;
      readonly now: number;
    }
  /** The packet that was looked at, into a kennel of its own. */
  | { readonly kind: 'open-packet'; readonly now: number }
  /** Of pupils' kennels, what stands on the coach's page. */
  | {
      readonly kind: 'pupil-lines';
      readonly kennels: readonly KennelName[];
      readonly today: Day;
      readonly now: number;
    }
  /** What a coach changed and said since the packet. */
  | { readonly kind: 'answer'; readonly by: string; readonly kennel: KennelName; readonly now: number }
  /** The answer that was looked at, as proposals. */
  | { readonly kind: 'take-answer'; readonly kennel: KennelName; readonly now: number }
  /** A sheet of a person's own: how it is most likely meant. */
  | { readonly kind: 'open-sheet'; readonly file: Blob; readonly usual: Usual }
  /** The opened sheet, read as the person says. */
  | { readonly kind: 'read-sheet'; readonly mapping: SheetMapping; readonly today: Day }
  | {
      readonly kind: 'bring-sheet';
      readonly mapping: SheetMapping;
      readonly today: Day;
      readonly axes: NewAxes;
      readonly kennel: KennelName;
      readonly now: number;
    }
  /** A track of a collar, a watch or a phone. */
  | { readonly kind: 'read-track'; readonly file: Blob }
  | { readonly kind: 'take-back'; readonly kennel: KennelName; readonly now: number };

/** What came in, in numbers; nothing of it where the file took the kennel's place. */
export type Brought = {
  readonly bouts: number;
  readonly entries: number;
  readonly changed: number;
  readonly apart: number;
} | null;

/** A saved kennel; `aside` says of each record that could not be read back what it is, and why. */
export type Saved = {
  readonly file: Blob;
  readonly aside: readonly Sentence[];
  /** How many entries and other records are in it. */
  readonly entries: number;
  readonly records: number;
};

export type FileAnswers = {
  save: Saved;
  look: {
    readonly savedAt: string;
    readonly counts: KennelCounts;
    /** When the file was saved from which this one goes on; null where all is in it. */
    readonly after: number | null;
    readonly packet: Packet | null;
    readonly answer: Answer | null;
  };
  packet: { readonly file: Blob; readonly bouts: number };
  'open-packet': { readonly kennel: KennelName; readonly packet: Packet };
  'pupil-lines': readonly {
    readonly kennel: KennelName;
    readonly lastDay: Day | null;
    /** Of the last fourteen days. */
    readonly sessions: number;
  }[];
  answer: Saved & { readonly comments: number };
  'take-answer': Answered & Answer;
  bring: Brought;
  table: { readonly file: Blob; readonly rows: number };
  'open-sheet': {
    readonly heads: readonly string[];
    readonly rows: number;
    /** The first rows, as they stand in the file. */
    readonly first: readonly (readonly string[])[];
    readonly guess: SheetMapping;
    readonly daysSure: boolean;
  };
  'read-sheet': {
    readonly rows: number;
    readonly goes: number;
    /** How many rows tell numbers only, so that the order of their goes is not known. */
    readonly unordered: number;
    readonly first: readonly SheetRow[];
    readonly problems: readonly RowProblem[];
    /** All of them; the first are listed. */
    readonly wrong: number;
    readonly left: number;
    readonly filled: number;
    /** As the sheet writes them. */
    readonly dogs: readonly string[];
    readonly elements: readonly string[];
    readonly words: readonly string[];
    /** Without what was asked, goes count for the first step. */
    readonly unasked: number;
  };
  'bring-sheet': SheetBrought;
  'read-track': GpxRead;
  'take-back': null;
};

/** How far it is: what is being done, and its share from 0 to 1 where that is known. */
export type FileSaid = { readonly doing: Sentence; readonly share: number | null };
