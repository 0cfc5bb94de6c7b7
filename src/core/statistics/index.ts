export * from './binomial';
export * from './describe';
export * from './gamma';
export * from './grid';
export * from './logistic';
export * from './matrix';
export * from './normal';
