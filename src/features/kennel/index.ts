export { KennelRoom } from './kennel-room';
