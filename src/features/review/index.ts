export { HandlerPage } from './handler-page';
export { MonthsPage } from './months-page';
export { ReviewRoom } from './review-room';
