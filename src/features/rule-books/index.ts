export { ComparePage } from './compare-page';
export { EditorPage } from './editor/editor-page';
export { RuleBooksRoom } from './rule-books-room';
