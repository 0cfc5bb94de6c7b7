export { ReadinessRoom } from './readiness-room';
