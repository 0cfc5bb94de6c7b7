export * from './days';
export * from './ids';
export { printOf } from './print';
export * from './quantities';
export * from './random';
export { inRegion, type Region, USUAL_REGION } from './region';
export * from './result';
export * from './say';
export type { Steps } from './steps';
