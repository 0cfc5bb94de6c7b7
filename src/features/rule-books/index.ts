export { ComparePage } from './compare-page';
export { EditorPage } from './editor/editor-page';
export { PastePage } from './paste/paste-page';
export { RuleBooksRoom } from './rule-books-room';
