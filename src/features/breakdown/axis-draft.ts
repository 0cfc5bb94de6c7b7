import {
  AXIS_KINDS,
  type AxisText,
  listAxis,
  type MethodAxis,
  READY_LISTS,
  stepText,
  writeValue,
} from '@/core/breakdown';
import { type AxisKey, asId } from '@/core/shared';
import { NO_BREAK, withOwnPoint, wordsOf } from '@/words';
import { tell } from './words';

/**
 * An axis with the values as they stand in its fields. `added`: by the person, so that it can be taken out
 * again. `list`: of a list of the person's own its steps as typed, "whole hand, half, none".
 */
export type AxisDraft = AxisText & {
  readonly added?: boolean;
  readonly list?: { readonly kind: 'criterion' | 'help' | 'pay'; readonly written: string };
};
/** A criterion of a method with its values as they stand in their fields: empty where the person is asked. */
export function axisDraft(spec: MethodAxis): AxisDraft {
  // Of a signed axis it is asked how far to each side, so no side is written.
  const plain = spec.axis.harder === 'both' ? { ...spec.axis, harder: 'more' as const } : spec.axis;
  const text = (value: number | null): string =>
    value === null ? '' : wordsOf(writeValue(plain, value)).replaceAll(NO_BREAK, ' ');
  return {
    spec,
    start: text(spec.start),
    demand: text(spec.demand),
    step: spec.step === null ? '' : withOwnPoint(stepText(spec.axis, spec.step)),
  };
}

/** A further criterion, by its kind: a measured one, a ready list, or a list of the person's own. */
export function furtherAxis(kindId: string, taken: readonly AxisDraft[]): AxisDraft {
  const free = freeKey(kindId, taken);
  const kind = AXIS_KINDS.find((one) => one.id === kindId);
  if (kind) return { ...axisDraft(kind.make(free, wordsOf(kind.title))), added: true };
  const ready = READY_LISTS.find((one) => one.id === kindId);
  if (ready) {
    const names = ready.levels.map(wordsOf).join(', ');
    const list = listAxis(free, wordsOf(ready.title), names, ready.role);
    if (list) return { ...axisDraft(list), added: true };
  }
  const role = kindId === 'own-help' ? 'help' : kindId === 'own-pay' ? 'pay' : 'criterion';
  return ownList(free, tell('exercise-draft.own-list', { role }), '', role);
}

/** A list of a person's own as it is typed; it has no levels until two steps are written. */
export function ownList(
  key: AxisKey,
  title: string,
  written: string,
  kind: 'criterion' | 'help' | 'pay',
): AxisDraft {
  const list = listAxis(key, title, written, kind);
  const blank = AXIS_KINDS[0].make(key, title);
  return { ...axisDraft(list ?? blank), added: true, list: { kind, written } };
}

function freeKey(kind: string, taken: readonly AxisDraft[]): AxisKey {
  const keys = new Set<string>(taken.map((one) => one.spec.axis.key));
  for (let n = 1; ; n++) {
    const key = n === 1 ? kind : `${kind}-${n}`;
    if (!keys.has(key)) return asId<AxisKey>(key);
  }
}
