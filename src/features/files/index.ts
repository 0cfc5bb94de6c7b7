export { backUpNow } from './back-up';
export { CoachPage } from './coach/coach-page';
export { FilesRoom } from './files-room';
export { OwnSheetPage } from './own-sheet/own-sheet-page';
