import type { PlanFrame, PlannedBout } from './plan-frame';

/**
 * Looks a whole plan over, without a line of the planner’s: days are numbers of the calendar by Date, and
 * every rule is a sum over the plan as it is read. Gives what is wrong, in words for a failed test.
 */
export function wrongIn(frame: PlanFrame, bouts: readonly PlannedBout[]): string[] {
  const number = (day: string): number =>
    Date.UTC(+day.slice(0, 4), +day.slice(5, 7) - 1, +day.slice(8)) / 864e5;
  const wrong: string[] = [];
  const named = (bout: PlannedBout): string => `${bout.piece} on ${bout.day}`;
  const piecesOf = (bout: PlannedBout) => frame.pieces.find((one) => one.id === bout.piece);
  for (const one of frame.days) {
    const here = bouts.filter((bout) => bout.day === one.day);
    const warm = frame.dogs.filter((dog) =>
      here.some((bout) => bout.dog === dog.id && piecesOf(bout)?.bodily),
    );
    const sum =
      here.reduce((all, bout) => all + bout.minutes, 0) + warm.reduce((all, dog) => all + dog.warmUp, 0);
    if (sum > one.minutes) wrong.push(`${one.day} has ${one.minutes} minutes, planned ${sum}`);
    if (one.hot) for (const bout of here) if (piecesOf(bout)?.bodily) wrong.push(`${named(bout)}: hot`);
    if (!one.helper)
      for (const bout of here) if (piecesOf(bout)?.needsHelper) wrong.push(`${named(bout)}: nobody helps`);
  }
  for (const dog of frame.dogs) {
    const own = bouts.filter((bout) => bout.dog === dog.id);
    for (const bout of own) {
      if (dog.from === null || number(bout.day) < number(dog.from)) wrong.push(`${named(bout)}: off work`);
      if (dog.trialDays.includes(bout.day)) wrong.push(`${named(bout)}: a trial`);
    }
    const worked = new Set([...own.map((bout) => bout.day), ...dog.done.map((one) => one.day)].map(number));
    const first = number(frame.today) - 7;
    for (let from = first; from < first + frame.days.length + 14; from++) {
      const days = [...worked].filter((day) => day >= from && day < from + 7);
      const planned = own.some((bout) => number(bout.day) >= from && number(bout.day) < from + 7);
      if (planned && days.length > dog.daysAWeek) wrong.push(`${dog.id}: ${days.length} days of seven`);
      for (const load of Object.keys(dog.heaviest) as (keyof typeof dog.heaviest)[]) {
        const loads = own.flatMap((bout) => {
          const at = number(bout.day);
          return at >= from && at < from + 7
            ? [bout.goes * (piecesOf(bout)?.rungs[bout.rung]?.perGo[load] ?? 0)]
            : [];
        });
        const each = loads.filter((one) => one > 0);
        const done = dog.done.reduce(
          (all, one) => all + (number(one.day) >= from && number(one.day) < from + 7 ? one.loads[load] : 0),
          0,
        );
        const sum = each.reduce((a, b) => a + b, done);
        const said = dog.limits.filter((one) => one.of === load && one.per === 'week');
        const none = !dog.limits.some((one) => one.of === load);
        const most =
          said.length > 0 ? said[0]?.most : none ? Math.max(dog.heaviest[load], ...each) : undefined;
        if (most !== undefined && each.length > 0 && sum > most + 1e-6)
          wrong.push(`${dog.id}: ${sum} ${load} in a week, ${most} at most`);
      }
    }
    for (const limit of dog.limits)
      if (limit.per === 'day')
        for (const { day } of frame.days) {
          const sum = own
            .filter((bout) => bout.day === day)
            .reduce(
              (all, bout) => all + bout.goes * (piecesOf(bout)?.rungs[bout.rung]?.perGo[limit.of] ?? 0),
              0,
            );
          const done = dog.done
            .filter((one) => one.day === day)
            .reduce((all, one) => all + one.loads[limit.of], 0);
          if (sum > 0 && sum + done > limit.most + 1e-6)
            wrong.push(`${dog.id}: ${sum + done} ${limit.of} on ${day}`);
        }
  }
  for (const piece of frame.pieces) {
    const own = bouts
      .filter((bout) => bout.piece === piece.id)
      .map((bout) => ({ ...bout, at: number(bout.day) }));
    const days = [...own.map((bout) => bout.at), ...piece.worked.map(number)].sort((a, b) => a - b);
    for (const bout of own) {
      if (own.filter((one) => one.at === bout.at).length > 1) wrong.push(`${named(bout)}: twice`);
      const rest = days.filter((at) => at !== bout.at || false).map((at) => Math.abs(at - bout.at) - 1);
      if (piece.restDays > 0 && rest.some((gap) => gap < piece.restDays))
        wrong.push(`${named(bout)}: no rest between`);
      if (piece.notBefore && bout.rung === piece.rungs.length - 1 && bout.at < number(piece.notBefore))
        wrong.push(`${named(bout)}: too early for all of it`);
      for (const need of piece.needs) {
        const shown = bouts.some(
          (one) => one.piece === need.piece && number(one.day) < bout.at && one.rung >= need.rung,
        );
        if (!shown) wrong.push(`${named(bout)}: waits for ${need.piece}`);
      }
      if (piece.links.length > 0) {
        const before = days.filter((at) => at < bout.at).at(-1) ?? Number.NEGATIVE_INFINITY;
        const separate = frame.pieces
          .filter((one) => piece.links.includes(one.id))
          .flatMap((one) => [
            ...one.worked.map(number),
            ...bouts.filter((each) => each.piece === one.id).map((each) => number(each.day)),
          ])
          .filter((at) => at > before && at < bout.at);
        if (separate.length < 5)
          wrong.push(`${named(bout)}: whole after ${separate.length} bouts on its pieces`);
      }
    }
  }
  return wrong;
}
