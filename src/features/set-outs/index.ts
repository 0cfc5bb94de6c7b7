export { GroundPage } from './ground-page';
export { LayPage } from './lay-page';
export { NewSetOutPage } from './new-set-out-page';
export { SetOutPage } from './set-out-page';
export { SetOutsRoom } from './set-outs-room';
