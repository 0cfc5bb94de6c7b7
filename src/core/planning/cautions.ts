import type { Axis } from '@/core/breakdown';

/**
 * The usual cautions of an element, short and calm. No threshold is given: where one is needed the person is sent to the vet. Local
 * law and the event's own rules come first.
 */
export function usualCautions(axes: readonly Pick<Axis, 'quantity'>[]): string[] {
  const jumps = axes.some((axis) => axis.quantity === 'height');
  return [
    ...(jumps
      ? ['Jumps: warm up first, soft and even ground, few in a day. For a growing, old or heavy dog ask your vet what height is right.']
      : []),
    'Shade and water in warmth. At stiffness, limping or any sign of pain: stop, and see a veterinary surgeon.',
  ];
}
