export { BreakdownRoom } from './breakdown-room';
export { ClassPage } from './class-page';
export { MethodPage } from './method-page';
export { MethodsPage } from './methods-page';
export { NewExercisePage } from './new-exercise-page';
export { PrerequisitesPage } from './prerequisites-page';
