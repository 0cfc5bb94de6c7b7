export { type Hindsight, hindsightOf } from './hindsight';
export { type Moved, type Period, type PeriodBout, periodOf } from './period';
export { workAndRest } from './seconds';
