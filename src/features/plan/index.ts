export { PlanRoom } from './plan-room';
export { PrintPage } from './print-page';
