import { AXIS_KINDS, listAxis, type MethodAxis, READY_LISTS } from '@/core/breakdown';
import { type AxisKey, asId } from '@/core/shared';
import type { NewAxes } from '@/data/write';
import { wordsOf } from '@/words';

function kindOf(id: 'distance' | 'time' | 'height'): MethodAxis {
  const kind = AXIS_KINDS.find((one) => one.id === id) ?? AXIS_KINDS[0];
  return kind.make(asId<AxisKey>(id), wordsOf(kind.title));
}

/** How much help there is: what an element climbs by of which nobody wrote what was asked. */
function helpAxis(): MethodAxis {
  const ready = READY_LISTS.find((one) => one.role === 'help');
  const list = ready && listAxis('help', wordsOf(ready.title), ready.levels.map(wordsOf).join(', '), 'help');
  return list ?? kindOf('distance');
}

/** The criteria by which elements climb that a sheet brings, in the person's words. */
export const ownAxes = (): NewAxes => ({
  distance: kindOf('distance'),
  duration: kindOf('time'),
  height: kindOf('height'),
  none: helpAxis(),
});
