export { StartRoom } from './start-room';
