import type { Draft, Json, Path } from './draft';
import { listAt, textAt } from './draft';
import { tell } from './words';

export type Option = readonly [value: string, words: string];
type Base = { readonly path: Path; readonly label: string };

/**
 * A field of a draft. What may be left out is taken out of the draft when it is emptied; `choice` has "none"
 * then, and `nullable` says that none is written down as such.
 */
export type FieldSpec =
  | (Base & {
      readonly kind: 'number' | 'text' | 'words';
      readonly optional?: boolean;
      readonly nullable?: boolean;
      readonly wide?: boolean;
      readonly narrow?: boolean;
    })
  | (Base & { readonly kind: 'check' })
  | (Base & {
      readonly kind: 'choice';
      readonly options: (draft: Draft) => readonly Option[];
      /** The words for none; without them one has to be chosen. */
      readonly none?: string;
      readonly nullable?: boolean;
    })
  | (Base & {
      readonly kind: 'picks';
      readonly options: (draft: Draft) => readonly Option[];
      readonly optional?: boolean;
    })
  | (Base & {
      /** A list of rows of fields. */
      readonly kind: 'rows';
      readonly fields: (item: Json) => readonly FieldSpec[];
      /** What can be added, each with the words of its button. */
      readonly starts: readonly (readonly [label: string, item: (draft: Draft) => Json])[];
      readonly optional?: boolean;
    })
  | (Base & {
      /** Something that a book has or has not, with fields of its own. */
      readonly kind: 'perhaps';
      readonly start: (draft: Draft) => Json;
      readonly fields: readonly FieldSpec[];
      readonly nullable?: boolean;
    })
  /** One number for each size. */
  | (Base & { readonly kind: 'by-size' });

export const number = (label: string, ...path: Path): FieldSpec => ({ kind: 'number', path, label });
export const perhapsNumber = (label: string, ...path: Path): FieldSpec => ({
  kind: 'number',
  path,
  label,
  optional: true,
});
export const text = (label: string, ...path: Path): FieldSpec => ({ kind: 'text', path, label });
export const unit = (label: string, ...path: Path): FieldSpec => ({
  kind: 'text',
  path,
  label,
  narrow: true,
});
export const check = (label: string, ...path: Path): FieldSpec => ({ kind: 'check', path, label });
export const choice = (
  label: string,
  path: Path,
  options: (draft: Draft) => readonly Option[],
): FieldSpec => ({
  kind: 'choice',
  path,
  label,
  options,
});

/** Options of a list of the draft, by its hidden ids. */
export const optionsOf =
  (path: Path) =>
  (draft: Draft): readonly Option[] =>
    listAt(draft, path).map((one, i) => [
      textAt(one, ['id']),
      textAt(one, ['title']) || tell('book-specs.unnamed', { i: i + 1 }),
    ]);
export const exercisesOf = optionsOf(['exercises']);

export const ACTS = (): readonly Option[] => [
  ['zero', tell('book-specs.zeroes')],
  ['end-run', tell('book-specs.ends')],
];

/** So many times that act: the n-th zeroes the exercise or ends the run. */
export const NTH: FieldSpec = {
  kind: 'perhaps',
  path: ['nth'],
  label: tell('book-specs.nth-acts'),
  start: () => ({ at: 3, does: 'end-run' }),
  fields: [number(tell('book-specs.the-so-manieth'), 'at'), choice(tell('book-specs.does'), ['does'], ACTS)],
};
