/**
 * Words that people use for one thing: whoever looks for one finds the others. In the singular and small;
 * this program's own list, from the trade's plain words.
 */
const GROUPS: readonly (readonly string[])[] = [
  ['smell', 'scent', 'odour', 'odor', 'nose'],
  ['dummy', 'bumper'],
  ['jackpot', 'reward', 'pay', 'treat', 'bonus'],
  ['dumbbell', 'dowel', 'hold', 'carry'],
  ['down', 'lie'],
  ['release', 'out', 'give'],
  ['recall', 'come', 'here'],
  ['stay', 'wait', 'steady'],
  ['heel', 'heelwork'],
  ['tug', 'toy', 'play', 'game'],
  ['jump', 'hurdle'],
  ['tub', 'box'],
  ['perch', 'platform', 'place'],
  ['kit', 'worn', 'muzzle', 'harness'],
  ['beg', 'upright'],
  ['cast', 'direction', 'handling'],
  ['disc', 'ball'],
  ['cue', 'command', 'word', 'whistle', 'signal'],
  ['target', 'touch'],
  ['puppy', 'young'],
];

/** A word without its plural: "dummies" → "dummy", "articles" → "article". */
const singular = (word: string): string =>
  word
    .replace(/ies$/, 'y')
    .replace(/(s|sh|ch|x)es$/, '$1')
    .replace(/([^s])s$/, '$1');

/** All words that stand for this one, itself first: "Bumpers" → bumpers, bumper, dummy. */
export function sameWords(word: string): string[] {
  const small = word.toLowerCase();
  const one = singular(small);
  const groups = GROUPS.filter((group) => group.includes(one));
  return [...new Set([small, one, ...groups.flat()])];
}
