/**
 * From what chance going pays: cost ÷ worth, to the hundredth; null where one is missing or not above 0, or
 * the cost is above the worth, and no chance would do. 30 and 120 → .25.
 */
export function goingPaysFrom(cost: number | null, worth: number | null): number | null {
  if (cost === null || worth === null || !(cost > 0) || !(worth > 0) || cost > worth) return null;
  return Math.round((cost / worth) * 100) / 100;
}
