export { BreakdownRoom } from './breakdown-room';
export { MethodPage } from './method-page';
export { MethodsPage } from './methods-page';
export { NewExercisePage } from './new-exercise-page';
export { PrerequisitesPage } from './prerequisites-page';
