export { DayPage } from './day-page';
export { SeasonPage } from './season-page';
