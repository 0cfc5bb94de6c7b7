export * from './days';
export * from './ids';
export * from './quantities';
export * from './random';
export * from './result';
export type { Steps } from './steps';
