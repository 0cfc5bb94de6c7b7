export { openListener, type Sound, type SoundKind } from './listen';
export { firstOfEach, isOwnClick, learnClick, type OwnClick, SAME_CLICK, TO_LEARN } from './own-clicks';
