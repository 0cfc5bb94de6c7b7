export { MeetingPage } from './meeting-page';
export { PrintMeeting } from './print-meeting';
export { RunPage } from './run-page';
export { SheetPage } from './sheet-page';
export { StewardPage } from './steward-page';
export { TitlesPage } from './titles-page';
export { TrialsRoom } from './trials-room';
