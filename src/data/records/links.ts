import { elementOf, type TableName, type Tables } from '.';

/** One record pointing at another: from where, and at what. */
export type Link = {
  readonly from: string;
  readonly at: string;
  readonly to: TableName;
  readonly id: string;
};

/** Every reference between records, entries apart. `from` is `table/id`. */
export function linksOf(tables: Omit<Tables, 'entries'>): Link[] {
  const links: Link[] = [];
  const add = (
    table: TableName,
    i: number,
    own: string,
    field: string,
    to: TableName,
    id: string | null,
  ): void => {
    if (id !== null) links.push({ from: `${table}/${own}`, at: `${table}[${i}].${field}`, to, id });
  };
  for (const [i, one] of tables.dogs.entries())
    add('dogs', i, one.id, 'usualHandler', 'people', one.usualHandler);
  for (const [i, one] of tables.grounds.entries())
    for (const dog of one.usualFor) add('grounds', i, one.id, 'usualFor', 'dogs', dog);
  for (const [i, one] of tables.signals.entries()) {
    add('signals', i, one.id, 'dogId', 'dogs', one.dogId);
    for (const element of one.elements) add('signals', i, one.id, 'elements', 'elements', element);
  }
  for (const [i, one] of tables.elements.entries()) {
    add('elements', i, one.id, 'dogId', 'dogs', one.dogId);
    for (const need of one.needs) add('elements', i, one.id, 'needs', 'elements', need.element);
    if (one.form.kind === 'chain')
      for (const link of one.form.links) add('elements', i, one.id, 'form.links', 'elements', link);
    for (const into of one.retired?.into ?? []) add('elements', i, one.id, 'retired.into', 'elements', into);
    for (const { bout } of one.assigned) add('elements', i, one.id, 'assigned', 'bouts', bout);
    add('elements', i, one.id, 'wait', 'elements', one.wait);
  }
  for (const [i, one] of tables.breakdowns.entries()) {
    add('breakdowns', i, one.id, 'dogId', 'dogs', one.dogId);
    add('breakdowns', i, one.id, 'ruleBookId', 'ruleBooks', one.ruleBookId);
    for (const [j, link] of one.links.entries())
      add('breakdowns', i, one.id, `links[${j}].element`, 'elements', link.element);
  }
  for (const [i, one] of tables.outings.entries()) {
    for (const dog of one.dogs) add('outings', i, one.id, 'dogs', 'dogs', dog);
    add('outings', i, one.id, 'ground', 'grounds', one.ground);
  }
  for (const [i, one] of tables.bouts.entries()) {
    add('bouts', i, one.id, 'outingId', 'outings', one.outingId);
    add('bouts', i, one.id, 'dogId', 'dogs', one.dogId);
    add('bouts', i, one.id, 'on.element', 'elements', elementOf(one));
    if (one.on.kind === 'exercise') add('bouts', i, one.id, 'on.breakdown', 'breakdowns', one.on.breakdown);
    add('bouts', i, one.id, 'handler', 'people', one.handler);
    add('bouts', i, one.id, 'setOut', 'setOuts', one.setOut);
    add('bouts', i, one.id, 'slot', 'slots', one.slot);
  }
  for (const [i, one] of tables.dogPlans.entries()) add('dogPlans', i, one.id, 'dogId', 'dogs', one.dogId);
  for (const [i, one] of tables.slots.entries()) {
    add('slots', i, one.id, 'dogId', 'dogs', one.dogId);
    add('slots', i, one.id, 'on.element', 'elements', elementOf(one));
    if (one.on.kind === 'exercise') add('slots', i, one.id, 'on.breakdown', 'breakdowns', one.on.breakdown);
  }
  for (const [i, one] of tables.stops.entries()) {
    add('stops', i, one.id, 'id', 'bouts', one.id);
    add('stops', i, one.id, 'dogId', 'dogs', one.dogId);
  }
  for (const [i, one] of tables.otherWork.entries()) {
    add('otherWork', i, one.id, 'dogId', 'dogs', one.dogId);
    for (const element of one.elements) add('otherWork', i, one.id, 'elements', 'elements', element);
  }
  for (const [i, one] of tables.meetings.entries()) {
    for (const { book, judges } of one.classes) {
      add('meetings', i, one.id, 'classes.book', 'ruleBooks', book);
      for (const judge of judges) add('meetings', i, one.id, 'classes.judges', 'people', judge);
    }
    for (const { dogId } of one.starters) add('meetings', i, one.id, 'starters.dogId', 'dogs', dogId);
  }
  for (const [i, one] of tables.runs.entries()) {
    add('runs', i, one.id, 'meeting', 'meetings', one.meeting);
    add('runs', i, one.id, 'trial', 'trials', one.trial);
    add('runs', i, one.id, 'dogId', 'dogs', one.dogId);
    add('runs', i, one.id, 'book', 'ruleBooks', one.book);
    for (const judge of one.judges) add('runs', i, one.id, 'judges', 'people', judge);
  }
  for (const [i, one] of tables.marks.entries()) {
    add('marks', i, one.id, 'runId', 'runs', one.runId);
    add('marks', i, one.id, 'judge', 'people', one.judge);
    add('marks', i, one.id, 'of', 'marks', one.of);
  }
  for (const [i, one] of tables.setOuts.entries()) {
    add('setOuts', i, one.id, 'ground', 'grounds', one.ground);
    add('setOuts', i, one.id, 'asks.element', 'elements', one.asks?.element ?? null);
  }
  for (const [i, one] of tables.events.entries()) {
    add('events', i, one.id, 'outingId', 'outings', one.outingId);
    add('events', i, one.id, 'dogId', 'dogs', one.dogId);
    add('events', i, one.id, 'element', 'elements', one.element);
  }
  for (const [i, one] of tables.seasons.entries()) add('seasons', i, one.id, 'id', 'dogs', one.id);
  for (const [i, one] of tables.clips.entries()) {
    add('clips', i, one.id, 'dogId', 'dogs', one.dogId);
    add('clips', i, one.id, 'boutId', 'bouts', one.boutId);
  }
  for (const [i, one] of tables.clipMarks.entries())
    add('clipMarks', i, one.id, 'clipId', 'clips', one.clipId);
  for (const [i, one] of tables.tracks.entries()) {
    add('tracks', i, one.id, 'dogId', 'dogs', one.dogId);
    add('tracks', i, one.id, 'boutId', 'bouts', one.boutId);
    add('tracks', i, one.id, 'setOut', 'setOuts', one.setOut);
  }
  for (const [i, one] of tables.trackPoints.entries()) add('trackPoints', i, one.id, 'id', 'tracks', one.id);
  for (const name of ['runForecasts', 'runLessons'] as const)
    for (const [i, one] of tables[name].entries()) {
      add(name, i, one.id, 'id', 'runs', one.id);
      add(name, i, one.id, 'dogId', 'dogs', one.dogId);
    }
  for (const [i, one] of tables.practices.entries()) add('practices', i, one.id, 'id', 'runs', one.id);
  for (const [i, one] of tables.legs.entries()) {
    add('legs', i, one.id, 'dogId', 'dogs', one.dogId);
    add('legs', i, one.id, 'book', 'ruleBooks', one.book);
    add('legs', i, one.id, 'result', 'results', one.result);
    for (const judge of one.judges) add('legs', i, one.id, 'judges', 'people', judge);
  }
  for (const [i, one] of tables.held.entries()) add('held', i, one.id, 'dogId', 'dogs', one.dogId);
  for (const [i, one] of tables.comments.entries()) {
    add('comments', i, one.id, 'dogId', 'dogs', one.dogId);
    const { about } = one;
    if (about.kind === 'element') add('comments', i, one.id, 'about.element', 'elements', about.element);
    if (about.kind === 'bout') add('comments', i, one.id, 'about.bout', 'bouts', about.bout);
    if (about.kind === 'clip') add('comments', i, one.id, 'about.clip', 'clips', about.clip);
  }
  for (const [i, one] of tables.titleAims.entries()) {
    add('titleAims', i, one.id, 'dogId', 'dogs', one.dogId);
    add('titleAims', i, one.id, 'book', 'ruleBooks', one.book);
    for (const entry of one.judges) {
      add('titleAims', i, one.id, 'judges', 'trials', entry.trial);
      for (const judge of entry.judges) add('titleAims', i, one.id, 'judges', 'people', judge);
    }
  }
  for (const [i, one] of tables.bearings.entries()) add('bearings', i, one.id, 'id', 'dogs', one.id);
  for (const [i, one] of tables.trials.entries()) {
    add('trials', i, one.id, 'dogId', 'dogs', one.dogId);
    add('trials', i, one.id, 'ruleBookId', 'ruleBooks', one.ruleBookId);
  }
  for (const name of ['forecasts', 'results'] as const)
    for (const [i, one] of tables[name].entries()) {
      add(name, i, one.id, 'dogId', 'dogs', one.dogId);
      add(name, i, one.id, 'trialId', 'trials', one.trialId);
    }
  for (const [i, one] of tables.results.entries()) {
    add('results', i, one.id, 'forecastId', 'forecasts', one.forecastId);
    add('results', i, one.id, 'run', 'runs', one.run);
  }
  return links;
}
