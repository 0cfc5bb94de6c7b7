import type { PlanFrame, PlannedBout } from './plan-frame';

/**
 * Bouts by day and dog in the order in which they are worked: rehearsals first (they are cold), then lively
 * and quiet work in turn, a whole run last. Deterministic; alike ones keep the order of the frame.
 */
export function inLessonOrder(frame: PlanFrame, bouts: readonly PlannedBout[]): PlannedBout[] {
  const order = new Map(frame.pieces.map((piece, i) => [piece.id, { ...piece, i }]));
  const lessons = new Map<string, PlannedBout[]>();
  for (const bout of bouts) {
    const key = `${bout.day} ${frame.dogs.findIndex((one) => one.id === bout.dog)}`;
    lessons.set(key, [...(lessons.get(key) ?? []), bout]);
  }
  return [...lessons]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([, lesson]) => {
      const sorted = [...lesson].sort((a, b) => (order.get(a.piece)?.i ?? 0) - (order.get(b.piece)?.i ?? 0));
      const first = sorted.filter((one) => one.purpose === 'rehearse');
      const last = sorted.filter((one) => one.purpose === 'join');
      const others = sorted.filter((one) => one.purpose !== 'rehearse' && one.purpose !== 'join');
      const isLively = (one: PlannedBout): boolean => order.get(one.piece)?.lively === true;
      const [lively, quiet] = [others.filter(isLively), others.filter((one) => !isLively(one))];
      const inTurn: PlannedBout[] = [];
      let wantsLively = lively.length > quiet.length;
      while (lively.length + quiet.length > 0) {
        const from = wantsLively ? (lively.length > 0 ? lively : quiet) : quiet.length > 0 ? quiet : lively;
        inTurn.push(from.shift() as PlannedBout);
        wantsLively = !wantsLively;
      }
      return [...first, ...inTurn, ...last];
    });
}
