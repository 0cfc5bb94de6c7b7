export { MeetingPage } from './meeting-page';
export { PracticePage } from './practice-page';
export { PracticeRunPage } from './practice-run-page';
export { PrintMeeting } from './print-meeting';
export { RunPage } from './run-page';
export { SheetPage } from './sheet-page';
export { StewardPage } from './steward-page';
export { TrialsRoom } from './trials-room';
