/**
 * What words of a judging sheet mean, in English and German. Phrases stand before the words that they
 * begin with; `%` is read as a sign. A word that is not here is a name, never a price.
 */
export type Meaning =
  | 'points'
  | 'each'
  | 'further'
  | 'cue'
  | 'second'
  | 'metre'
  | 'over'
  | 'up-to'
  | 'at-most'
  | 'in-all'
  | 'usually'
  | 'to'
  | 'zero'
  | 'out'
  | 'major'
  | 'attempt'
  | 'bonus'
  | 'warning'
  | 'first'
  | 'unit'
  | 'filler';

type Entry = readonly [meaning: Meaning, words: string];

export const VOCABULARY: readonly Entry[] = [
  ['filler', 'for the exercise|of the exercise|the exercise is|exercise is|für die übung|die übung'],
  ['at-most', 'at most|no more than|not more than|maximum|maximal|max\\.?|höchstens'],
  ['up-to', 'up to|bis zu'],
  ['over', 'more than|longer than|further than|over|beyond|past|above|exceeding|mehr als|länger als|über|>'],
  ['in-all', 'in all|in total|altogether|all told|insgesamt|zusammen'],
  ['usually', 'usually|normally|meist|üblich|in der regel'],
  [
    'zero',
    'zeroes the exercise|exercise zeroed|zeroed|zeroes|zero|no points|not scored|fails the exercise|exercise failed|nil|null|keine punkte|nicht bewertet|nicht bestanden|übung null',
  ],
  [
    'out',
    'ends the run|run ended|run ends|eliminated|eliminates|elimination|disqualified|disqualification|disqualifies|dq|excused|out|ausschluss|disqualifikation|disq\\.?|abbruch',
  ],
  ['major', 'major fault|major|grober fehler|schwerer fehler'],
  ['attempt', 'uses up an attempt|uses up a try|an attempt|a try|attempt|try|versuch'],
  ['bonus', 'bonus|extra points|zusatzpunkte'],
  ['warning', 'is only a warning|are only warnings|only a warning|warnings|warning|verwarnung|ermahnung'],
  ['first', 'the first time|first time|first|zuerst|erst|beim ersten mal'],
  ['each', 'for each|for every|each time|every time|each|every|per|jedes mal|je|pro|jede[srn]?|/'],
  ['further', 'further|additional|extra|more|another|weitere[srn]?|zusätzliche[srn]?'],
  ['cue', 'cues|cue|commands|command|kommandos|kommando|hörzeichen|uses up a cue'],
  ['second', 'seconds|second|secs?\\.?|sekunden|sekunde|sek\\.?|s'],
  ['metre', 'metres|metre|meters|meter|m'],
  ['unit', 'degrees|degree|deg|grad|°|centimetres|centimeters|cm'],
  ['to', 'to|bis'],
  [
    'points',
    'points off|points|point|pts\\.?|pt\\.?|punkten|punkte|punkt|pkte?\\.?|p\\.|marks|mark|faults?|fehler|items?',
  ],
  [
    'filler',
    'costs|cost|deduct|deducted|deduction|deductions|loses|lose|abzug|times?|mal|fault|started|begun|angefangene[rn]?|by|of|the|is|are|an|a|in|von|uses up|from|off|at|beim|der|die|das|den|then|it',
  ],
];

/** Numbers that are written as words. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  half: 0.5,
  halber: 0.5,
  halben: 0.5,
  one: 1,
  ein: 1,
  eine: 1,
  einen: 1,
  two: 2,
  zwei: 2,
  three: 3,
  drei: 3,
  four: 4,
  vier: 4,
  five: 5,
  fünf: 5,
  six: 6,
  sechs: 6,
  eight: 8,
  acht: 8,
  ten: 10,
  zehn: 10,
};

/** The so-manieth, of times that act: "third time out". "second" is a time too and is told by what follows. */
export const ORDINALS: Readonly<Record<string, number>> = {
  second: 2,
  third: 3,
  fourth: 4,
  fifth: 5,
  zweiten: 2,
  zweites: 2,
  dritten: 3,
  drittes: 3,
  vierten: 4,
  viertes: 4,
};

/** The handler's own slips: such a fault can happen anywhere in the exercise. */
export const OF_HANDLER =
  /^(?:the )?handler\b|\b(?:by|of) (?:the )?handler\b|\bhandler[’']s\b|^(?:der )?hundeführer|\b(?:des|vom) hundeführers?/iu;

/** A fault that is called so is what is charged when the part is not done at all. */
export const NOT_DONE =
  /\b(not (done|shown|performed|executed|carried out|attempted)|does not (do|perform|show) it|nicht (gezeigt|ausgeführt))\b/iu;
