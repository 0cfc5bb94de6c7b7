/**
 * Where schools disagree: both sides are settings here, each with what it gains and what it risks.
 * Nobody is scolded.
 */
export type School = {
  readonly question: string;
  readonly sides: readonly { readonly title: string; readonly gains: string; readonly risks: string }[];
};

const side = (title: string, gains: string, risks: string) => ({ title, gains, risks });

export const SCHOOLS = {
  floor: {
    question: 'A criterion was met, and now it fails',
    sides: [
      side(
        'Never go below what was met',
        'The dog learns that the standard stays.',
        'It can fail many times in a row and lose heart.',
      ),
      side(
        'Go back a step at once',
        'The next rep is a success.',
        'Some dogs learn that failing makes it easier.',
      ),
    ],
  },
  marker: {
    question: 'How the right moment is marked',
    sides: [
      side('A click', 'Sharp, and always the same.', 'Needs a hand.'),
      side('A word or a touch', 'Always with you.', 'Changes with your mood, and is easily late.'),
    ],
  },
  errors: {
    question: 'When the dog is wrong',
    sides: [
      side('Say nothing', 'The dog goes on offering.', 'It may not notice for a while.'),
      side(
        'A word that means “no reward”',
        'It knows at once.',
        'A sharp voice takes the drive out of soft dogs.',
      ),
    ],
  },
  showing: {
    question: 'How the dog finds out what is wanted',
    sides: [
      side('Shape it freely', 'The dog owns what it has found.', 'Slow, and wants good timing.'),
      side(
        'Lure, guide or prompt',
        'Quick to the first success.',
        'The help has to be taken away again, and that is its own work.',
      ),
    ],
  },
  'cue-time': {
    question: 'When the cue is added',
    sides: [
      side(
        'Once the behaviour is sure',
        'The word never means a half-done thing.',
        'The dog works for longer without a name for it.',
      ),
      side(
        'From the start',
        'Word and act grow together.',
        'The word may come to mean the untidy first version.',
      ),
    ],
  },
  'second-cue': {
    question: 'No answer to the first cue',
    sides: [
      side(
        'One cue only',
        'The cue keeps its worth, and rule books price a second one.',
        'The dog may stand there, lost.',
      ),
      side(
        'Repeat it calmly',
        'Less pressure on a young dog.',
        'It learns to wait for the second. Extra cues are counted either way.',
      ),
    ],
  },
  joining: {
    question: 'When the pieces are joined',
    sides: [
      side('Late', 'Each piece stays clean, and nothing is anticipated.', 'Joining is new work of its own.'),
      side(
        'From the start, or from the back',
        'The dog knows where it leads; from the back it always runs into what it knows best.',
        'It learns the order rather than the cues.',
      ),
    ],
  },
  pay: {
    question: 'How often it is paid',
    sides: [
      side('Every rep', 'Clear, and keeps a young dog keen.', 'The ring does not pay.'),
      side(
        'Some, or the best',
        'Holds up without pay, and raises the standard.',
        'Too thin too soon, and the dog leaves.',
      ),
    ],
  },
  toy: {
    question: 'Who has the toy in the end',
    sides: [
      side('The handler keeps it', 'The game has your rules.', 'A soft dog may stop pulling.'),
      side('The dog wins it', 'Confidence, and a harder grip.', 'It may carry it off.'),
    ],
  },
  drive: {
    question: 'What comes first in a young dog',
    sides: [
      side('Steadiness', 'Nothing has to be undone later.', 'Damps some dogs.'),
      side('Drive', 'The dog loves the work.', 'Steadiness has to be put on top of it.'),
    ],
  },
} as const satisfies Record<string, School>;

export type SchoolKey = keyof typeof SCHOOLS;
export const SCHOOL_KEYS = Object.keys(SCHOOLS) as SchoolKey[];
