export { backUpNow } from './back-up';
export { FilesRoom } from './files-room';
export { OwnSheetPage } from './own-sheet/own-sheet-page';
